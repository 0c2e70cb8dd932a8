import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
  MPX4115A,
  MPX4250A,
  pressureFromSignal,
  pressuresFromSignals,
  signalBand,
  signalFromPressure,
  validBandVolts,
  type SensorProfile,
} from './index.ts';

const profile = (over: Partial<SensorProfile>): SensorProfile => ({ ...MPX4250A, ...over });
/** Common practice: 0 inHg of vacuum at sea level is 3.0 V, and every inHg takes 0.1 V away. */
const tenthPerInHg = profile({
  transfer: {
    form: 'linear',
    low: { volts: 0.5, kpaAbs: 101.325 - 25 * 3.386389 },
    high: { volts: 3, kpaAbs: 101.325 },
  },
});

// Data sheet MPX4250A, figure "output versus absolute pressure", and its formula at Vs = 5.1 V.
test.each([
  [20, 0.204],
  [250, 4.896],
])('an MPX4250A gives at %d kPa and 5.1 V the data sheet’s %d V', (kpaAbs, volts) => {
  expect(signalFromPressure(kpaAbs, 5.1, MPX4250A).signalVolts).toBeCloseTo(volts, 3);
});

// Data sheet MPX4115A: 0.204 V at 15 kPa and 4.794 V at 115 kPa, typical, at Vs = 5.1 V (offset and full scale output).
test.each([
  [15, 0.204],
  [115, 4.794],
])('an MPX4115A gives at %d kPa and 5.1 V the data sheet’s %d V', (kpaAbs, volts) => {
  expect(signalFromPressure(kpaAbs, 5.1, MPX4115A).signalVolts).toBeCloseTo(volts, 3);
});

test('1.20 V from an MPX4250A on 4.95 V is 70.606 kPa: (1.2/4.95 + 0.04)/0.004 by hand', () => {
  const result = pressureFromSignal({ signalVolts: 1.2, referenceVolts: 4.95, returnVolts: 0 }, MPX4250A);
  expect(result.ok && result.value.pressureKpaAbs).toBeCloseTo(70.606, 3);
});

test.each([
  [5, 2.5],
  [10, 2],
  [15, 1.5],
  [20, 1],
  [25, 0.5],
])(
  '%d inHg of vacuum at sea level is %d V in the family that loses 0.1 V per inHg (common practice)',
  (inHg, volts) => {
    const kpaAbs = 101.325 - inHg * 3.386389;
    expect(signalFromPressure(kpaAbs, 5, tenthPerInHg).signalVolts).toBeCloseTo(volts, 6);
  },
);

test('a raised return is taken off both signal and supply, so an honest sensor stays honest', () => {
  const { signalVolts } = signalFromPressure(100, 4.6, MPX4250A);
  const wires = { signalVolts: signalVolts + 0.4, referenceVolts: 5, returnVolts: 0.4 };
  const result = pressureFromSignal(wires, MPX4250A);
  expect(result.ok && result.value.pressureKpaAbs).toBeCloseTo(100, 9);
});

test('without a supply no pressure is claimed', () => {
  expect(pressureFromSignal({ signalVolts: 1, referenceVolts: 0.1, returnVolts: 0 }, MPX4250A)).toMatchObject(
    {
      ok: false,
      problem: { code: 'reference-missing' },
    },
  );
});

test('a signal past the range is converted and marked', () => {
  expect(pressureFromSignal({ signalVolts: 5, referenceVolts: 5, returnVolts: 0 }, MPX4250A)).toMatchObject({
    ok: true,
    value: { extrapolated: true },
  });
});

test('the control unit’s limits split the signal into bands', () => {
  expect([0.05, 0.15, 2, 4.85, 4.95].map((volts) => signalBand(volts, 5, MPX4250A))).toEqual([
    'circuit-low',
    'out-of-range',
    'in-range',
    'out-of-range',
    'circuit-high',
  ]);
});

test('the valid band is in rising order for a falling sensor too', () => {
  const falling = profile({
    transfer: { form: 'linear', low: { volts: 4.5, kpaAbs: 20 }, high: { volts: 0.5, kpaAbs: 250 } },
  });
  expect(validBandVolts(5, falling)).toEqual([0.5, 4.5]);
});

test.each([
  ['ratiometric', MPX4250A],
  ['linear', tenthPerInHg],
] as const)('volts and back are the identity inside the range of a %s sensor', (_form, sensor) => {
  fc.assert(
    fc.property(
      fc.double({ min: sensor.lowestKpaAbs, max: sensor.highestKpaAbs, noNaN: true }),
      fc.double({ min: 3.1, max: 5.5, noNaN: true }),
      (kpaAbs, supplyVolts) => {
        const { signalVolts } = signalFromPressure(kpaAbs, supplyVolts, sensor);
        const back = pressureFromSignal({ signalVolts, referenceVolts: supplyVolts, returnVolts: 0 }, sensor);
        return back.ok && Math.abs(back.value.pressureKpaAbs - kpaAbs) < 1e-9;
      },
    ),
  );
});

test('a batch converts as single readings do', () => {
  const volts = Float64Array.of(0.3, 1.2, 4.4);
  const kpa = new Float64Array(3);
  pressuresFromSignals(volts, 4.95, MPX4250A, kpa);
  volts.forEach((signalVolts, i) => {
    const one = pressureFromSignal({ signalVolts, referenceVolts: 4.95, returnVolts: 0 }, MPX4250A);
    expect(one.ok && one.value.pressureKpaAbs).toBeCloseTo(kpa[i] ?? NaN, 9);
  });
});
