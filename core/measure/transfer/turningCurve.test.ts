import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
  curveOf,
  MPX4250A,
  transferFromPoints,
  turningCurve,
  valueFromSignal,
  type SensorProfile,
} from './index.ts';
import { coded } from '../message/coded.ts';

const points = (...pairs: [value: number, volts: number][]) =>
  pairs.map(([value, volts]) => ({ value, volts }));
/** A dead band up to 10, then a rise that saturates past 90. */
const flatEnds = points([0, 0.5], [10, 0.5], [50, 2.5], [90, 4.5], [100, 4.5]);
/** A flow meter that does not know which way the air goes: 1 V at rest, rising both ways. */
const reverse = points([-20, 2.2], [-5, 1.4], [0, 1], [5, 1.4], [20, 2.2], [80, 3.6]);

test('a flat stretch means every value in it, and a voltage beside it one value', () => {
  const curve = turningCurve(flatEnds);
  expect(curve.valuesAt(0.5)).toMatchObject({ lowest: 0, highest: 10 });
  expect(curve.valuesAt(0.49)).toEqual({ lowest: 0, highest: 10 });
  const middle = curve.valuesAt(2.5);
  expect(middle.lowest).toBeCloseTo(50, 6);
  expect(middle.highest).toBeCloseTo(50, 6);
  // A meter that may be 20 mV off cannot say that the flat stretch was left.
  expect(curve.valuesAt(0.51, 0.02)).toMatchObject({ lowest: 0 });
});

test('where flow reverses one voltage means a flow either way', () => {
  const { lowest, highest } = turningCurve(reverse).valuesAt(1.8);
  expect(lowest).toBeLessThan(-5);
  expect(highest).toBeGreaterThan(5);
});

test.each([flatEnds, reverse].map((given) => [given]))(
  'every value is among those of its own voltage (%#)',
  (given) => {
    const curve = turningCurve(given);
    const first = given[0]!.value;
    const last = given.at(-1)!.value;
    fc.assert(
      fc.property(fc.double({ min: first, max: last, noNaN: true }), (value) => {
        const { lowest, highest } = curve.valuesAt(curve.voltsAt(value), 1e-9);
        expect(lowest).toBeLessThanOrEqual(value + 1e-3);
        expect(highest).toBeGreaterThanOrEqual(value - 1e-3);
      }),
    );
  },
);

test('no voltage gives a NaN, far outside either', () => {
  for (const given of [flatEnds, reverse])
    for (const volts of [-30, 0, 0.5, 1, 4.5, 60]) {
      const { lowest, highest } = turningCurve(given).valuesAt(volts);
      expect([lowest, highest].every(Number.isFinite)).toBe(true);
    }
});

test('such a table can be entered, and converts with its curve both ways', () => {
  const fit = coded(
    transferFromPoints(flatEnds, {
      form: 'table',
      degree: 3,
      ratiometric: false,
      referenceVolts: 5,
    }),
  );
  if (!fit.ok) throw new Error(fit.problem.code);
  expect(fit.value.turns).toBe(true);
  const profile: SensorProfile = { ...MPX4250A, transfer: fit.value.transfer, lowest: 0, highest: 100 };
  expect(curveOf(profile, 5).voltsAt(95)).toBeCloseTo(4.5, 9);
  expect(valueFromSignal({ signalVolts: 0.5, referenceVolts: 5, returnVolts: 0 }, profile)).toMatchObject({
    ok: true,
    value: { extrapolated: false },
  });
});

test('a value with two voltages is refused with that reason', () => {
  const twice = coded(
    transferFromPoints(points([0, 0.5], [50, 2.5], [50, 2.6], [100, 4.5]), {
      form: 'table',
      degree: 3,
      ratiometric: false,
      referenceVolts: 5,
    }),
  );
  expect(twice).toMatchObject({
    ok: false,
    problem: { message: 'transfer.value-stands-two-points-one{value: 50}' },
  });
});
