import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
  MPX4115A,
  MPX4250A,
  MPX5010DP,
  MPXV7002DP,
  valueFromSignal,
  valuesFromSignals,
  signalBand,
  signalFromValue,
  validBandVolts,
  type SensorProfile,
} from './index.ts';

const profile = (over: Partial<SensorProfile>): SensorProfile => ({ ...MPX4250A, ...over });
/** Common practice: 0 inHg of vacuum at sea level is 3.0 V, and every inHg takes 0.1 V away. */
const tenthPerInHg = profile({
  transfer: {
    form: 'linear',
    low: { volts: 0.5, value: 101.325 - 25 * 3.386389 },
    high: { volts: 3, value: 101.325 },
  },
});

// Data sheet MPX4250A, figure "output versus absolute pressure", and its formula at Vs = 5.1 V.
test.each([
  [20, 0.204],
  [250, 4.896],
])('an MPX4250A gives at %d kPa and 5.1 V the data sheet’s %d V', (value, volts) => {
  expect(signalFromValue(value, 5.1, MPX4250A).signalVolts).toBeCloseTo(volts, 3);
});

// Data sheet MPX4115A: 0.204 V at 15 kPa and 4.794 V at 115 kPa, typical, at Vs = 5.1 V (offset and full scale output).
test.each([
  [15, 0.204],
  [115, 4.794],
])('an MPX4115A gives at %d kPa and 5.1 V the data sheet’s %d V', (value, volts) => {
  expect(signalFromValue(value, 5.1, MPX4115A).signalVolts).toBeCloseTo(volts, 3);
});

test('1.20 V from an MPX4250A on 4.95 V is 70.606 kPa: (1.2/4.95 + 0.04)/0.004 by hand', () => {
  const result = valueFromSignal({ signalVolts: 1.2, referenceVolts: 4.95, returnVolts: 0 }, MPX4250A);
  expect(result.ok && result.value.value).toBeCloseTo(70.606, 3);
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
    const value = 101.325 - inHg * 3.386389;
    expect(signalFromValue(value, 5, tenthPerInHg).signalVolts).toBeCloseTo(volts, 6);
  },
);

test('a raised return is taken off both signal and supply, so an honest sensor stays honest', () => {
  const { signalVolts } = signalFromValue(100, 4.6, MPX4250A);
  const wires = { signalVolts: signalVolts + 0.4, referenceVolts: 5, returnVolts: 0.4 };
  const result = valueFromSignal(wires, MPX4250A);
  expect(result.ok && result.value.value).toBeCloseTo(100, 9);
});

test('without a supply no pressure is claimed', () => {
  expect(valueFromSignal({ signalVolts: 1, referenceVolts: 0.1, returnVolts: 0 }, MPX4250A)).toMatchObject({
    ok: false,
    problem: { code: 'reference-missing' },
  });
});

test('a signal past the range is converted and marked', () => {
  expect(valueFromSignal({ signalVolts: 5, referenceVolts: 5, returnVolts: 0 }, MPX4250A)).toMatchObject({
    ok: true,
    value: { extrapolated: true },
  });
});

// Ends of the MPX4250A by its sheet: 0.2 V and 4.8 V, each with 3.45 kPa · 0.02 V/kPa = 0.07 V of tolerance.
test('the control unit’s limits split the signal into bands', () => {
  expect([0.05, 0.12, 2, 4.88, 4.95].map((volts) => signalBand(volts, 5, MPX4250A))).toEqual([
    'circuit-low',
    'out-of-range',
    'in-range',
    'out-of-range',
    'circuit-high',
  ]);
});

test('the valid band is in rising order for a falling sensor too', () => {
  const falling = profile({
    transfer: { form: 'linear', low: { volts: 4.5, value: 20 }, high: { volts: 0.5, value: 250 } },
  });
  expect(validBandVolts(5, falling)).toEqual([0.5, 4.5]);
});

test.each([
  ['ratiometric', MPX4250A],
  ['linear', tenthPerInHg],
] as const)('volts and back are the identity inside the range of a %s sensor', (_form, sensor) => {
  fc.assert(
    fc.property(
      fc.double({ min: sensor.lowest, max: sensor.highest, noNaN: true }),
      fc.double({ min: 3.1, max: 5.5, noNaN: true }),
      (value, supplyVolts) => {
        const { signalVolts } = signalFromValue(value, supplyVolts, sensor);
        const back = valueFromSignal({ signalVolts, referenceVolts: supplyVolts, returnVolts: 0 }, sensor);
        return back.ok && Math.abs(back.value.value - value) < 1e-9;
      },
    ),
  );
});

test('a batch converts as single readings do', () => {
  const volts = Float64Array.of(0.3, 1.2, 4.4);
  const kpa = new Float64Array(3);
  valuesFromSignals(volts, 4.95, MPX4250A, kpa);
  volts.forEach((signalVolts, i) => {
    const one = valueFromSignal({ signalVolts, referenceVolts: 4.95, returnVolts: 0 }, MPX4250A);
    expect(one.ok && one.value.value).toBeCloseTo(kpa[i] ?? NaN, 9);
  });
});

// Data sheet MPX5010DP: 0.2 V at 0 kPa, 4.7 V at 10 kPa, typical, at Vs = 5.0 V. MPXV7002DP: 0.5 V at −2 kPa, 2.5 V at
// 0 kPa, 4.5 V at 2 kPa at Vs = 5.0 V.
test.each([
  [MPX5010DP, 0, 0.2],
  [MPX5010DP, 10, 4.7],
  [MPXV7002DP, -2, 0.5],
  [MPXV7002DP, 0, 2.5],
  [MPXV7002DP, 2, 4.5],
] as const)('a differential data sheet holds both ways (%#)', (sheet, kpa, volts) => {
  expect(signalFromValue(kpa, 5, sheet).signalVolts).toBeCloseTo(volts, 9);
  const back = valueFromSignal({ signalVolts: volts, referenceVolts: 5, returnVolts: 0 }, sheet);
  expect(back.ok && back.value.value).toBeCloseTo(kpa, 9);
});
