import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
  curveOf,
  isMonotonePolynomial,
  isSent,
  MPX4250A,
  toleranceAt,
  valuesFromSignals,
  valueFromSignal,
  type SensorProfile,
  type TransferFunction,
} from './index.ts';

const FORMS: Record<TransferFunction['form'], SensorProfile> = {
  ratiometric: MPX4250A,
  linear: {
    ...MPX4250A,
    transfer: { form: 'linear', low: { volts: 4.5, value: 0 }, high: { volts: 0.5, value: 100 } },
    lowest: 0,
    highest: 100,
  },
  table: {
    ...MPX4250A,
    transfer: {
      form: 'table',
      ratiometric: true,
      points: [0.5, 1.1, 2, 3.6, 4.5].map((volts) => ({ volts, value: 20 + volts ** 2 * 8 })),
    },
    lowest: 22,
    highest: 180,
  },
  polynomial: {
    ...MPX4250A,
    transfer: {
      form: 'polynomial',
      coefficients: [3, 8, 2.5, 0.4],
      fromVolts: 0.3,
      toVolts: 4.7,
      ratiometric: true,
    },
    lowest: 6,
    highest: 130,
  },
  'hot-element': {
    ...MPX4250A,
    measures: 'air-flow',
    transfer: { form: 'hot-element', a: 0.9, b: 0.95, n: 0.52 },
    lowest: 0,
    highest: 250,
  },
  frequency: {
    ...MPX4250A,
    transfer: {
      form: 'frequency',
      points: [20, 60, 120, 250].map((value) => ({ value, hertz: 80 + value ** 1.2 / 8 })),
    },
    lowest: 20,
    highest: 250,
  },
  duty: {
    ...MPX4250A,
    transfer: {
      form: 'duty',
      points: [
        { value: 20, upPercent: 90 },
        { value: 250, upPercent: 10 },
      ],
    },
    lowest: 20,
    highest: 250,
  },
  telegrams: {
    ...MPX4250A,
    transfer: { form: 'telegrams', low: { step: 193, value: 20 }, high: { step: 3896, value: 250 } },
    lowest: 20,
    highest: 250,
  },
};
const forms = Object.entries(FORMS);

test.each(forms)('value to volts and back is the identity inside the range: %s', (_form, profile) => {
  fc.assert(
    fc.property(
      fc.double({ min: profile.lowest, max: profile.highest, noNaN: true }),
      fc.double({ min: 3.1, max: 5.5, noNaN: true }),
      (value, supply) => {
        const curve = curveOf(profile, supply);
        return Math.abs(curve.valueAt(curve.voltsAt(value)) - value) < 1e-7 * profile.highest;
      },
    ),
  );
});

test.each(forms)('the slope is what the curve itself rises by: %s', (_form, profile) => {
  const curve = curveOf(profile, 4.9);
  for (const volts of [0.7, 1.4, 2.5, 3.9]) {
    const step = 1e-5;
    const rise = (curve.valueAt(volts + step) - curve.valueAt(volts - step)) / (2 * step);
    expect(curve.valuePerVoltAt(volts) / rise).toBeCloseTo(1, 5);
  }
});

test.each(forms)('no voltage and no value gives a NaN or an infinity: %s', (_form, profile) => {
  fc.assert(
    fc.property(
      fc.double({ min: -30, max: 60, noNaN: true }),
      fc.double({ min: -1e4, max: 1e5, noNaN: true }),
      (volts, value) => {
        const result = valueFromSignal({ signalVolts: volts, referenceVolts: 5, returnVolts: 0 }, profile);
        const curve = curveOf(profile, 5);
        return (
          result.ok === !isSent(profile) &&
          [
            result.ok ? result.value.value : 0,
            curve.voltsAt(value),
            curve.valuePerVoltAt(volts),
            curve.shareOfSupplyAt(volts),
            toleranceAt(value, profile),
          ].every(Number.isFinite)
        );
      },
    ),
  );
});

test.each(forms)('many signals at once are the same as one by one: %s', (_form, profile) => {
  const volts = Float64Array.of(0.6, 1.2, 4.1);
  const into = new Float64Array(3);
  valuesFromSignals(volts, 4.95, profile, into);
  volts.forEach((v, i) => expect(into[i]).toBeCloseTo(curveOf(profile, 4.95).valueAt(v), 9));
});

test('King’s law by hand: 0.9 + 0.95·√16 is 4.7, so 2.168 V is 16 g/s', () => {
  const profile = {
    ...FORMS['hot-element'],
    transfer: { form: 'hot-element', a: 0.9, b: 0.95, n: 0.5 },
  } as const;
  expect(curveOf(profile, 5).voltsAt(16)).toBeCloseTo(Math.sqrt(4.7), 12);
  expect(curveOf(profile, 5).valueAt(2.168)).toBeCloseTo(16, 1);
  expect(curveOf(profile, 5).valueAt(0.4)).toBeLessThan(0); // below still air: less than no flow
});

test('a polynomial that turns round between its ends is told from one that does not', () => {
  expect(isMonotonePolynomial([0, 0, 1], -1, 2)).toBe(false); // a parabola over its foot
  expect(isMonotonePolynomial([0, 0, 1], 0, 2)).toBe(true);
  expect(isMonotonePolynomial([0, 1, 0, -0.1], 0, 5)).toBe(false);
  expect(isMonotonePolynomial([5, -2], 0, 5)).toBe(true);
  expect(isMonotonePolynomial([5], 0, 5)).toBe(false);
});

// By hand from the words of each form.
test.each([
  [{ form: 'plus-minus', plusMinus: 3 }, 100, 25, 3],
  [{ form: 'of-span', percent: 1.5 }, 100, 25, 1.5],
  [{ form: 'of-value', percent: 4, atLeast: 0.2 }, 50, 25, 2],
  [{ form: 'of-value', percent: 4, atLeast: 0.2 }, 1, 25, 0.2],
] as const)('the tolerance %o at %d and %d °C is ±%d', (tolerance, value, celsius, expected) => {
  expect(toleranceAt(value, { tolerance, lowest: 0, highest: 100 }, celsius)).toBeCloseTo(expected, 12);
});

// Data sheet MPX4250A, figure "temperature error multiplier": 3 at −40 °C, 1 from 0 to 85 °C, 3 at 125 °C.
test.each([
  [-40, 3],
  [-60, 3],
  [-20, 2],
  [0, 1],
  [25, 1],
  [105, 2],
  [130, 3],
])('at %d °C the band of an MPX4250A is %d times as wide', (celsius, factor) => {
  const multipliers = [
    { celsius: -40, factor: 3 },
    { celsius: 0, factor: 1 },
    { celsius: 85, factor: 1 },
    { celsius: 125, factor: 3 },
  ];
  const tolerance = { form: 'temperature-band', plusMinus: 3.45, multipliers } as const;
  expect(toleranceAt(100, { tolerance, lowest: 20, highest: 250 }, celsius)).toBeCloseTo(3.45 * factor, 9);
});
