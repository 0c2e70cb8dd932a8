import { MPX4250A, type SensorProfile } from '@lettura/core/measure/transfer';
import { expect, test } from 'vitest';
import { stimulusTable } from './stimulusTable.ts';
import { thinnedPoints } from './thinnedPoints.ts';

/** Common practice: 3.0 V at 0 inHg of vacuum at sea level, and 0.1 V less for every inHg. */
const tenthPerInHg: SensorProfile = {
  ...MPX4250A,
  transfer: {
    form: 'linear',
    low: { volts: 0.5, value: 101.325 - 25 * 3.386389 },
    high: { volts: 3, value: 101.325 },
  },
  lowest: 13,
  highest: 119,
};
const units = { absolute: 'kPa', vacuum: 'inHg' } as const;
const rows = (profile: SensorProfile, ambient: number) =>
  stimulusTable({ family: 'manifold-pressure', profile }, ambient, units).map(({ setting, volts }) => [
    Number(setting.toFixed(3)),
    Number(volts.toFixed(2)),
  ]);

test('the pump table of the family that loses 0.1 V per inHg, at sea level (common practice)', () => {
  expect(rows(tenthPerInHg, 101.325)).toEqual([
    [0, 3],
    [5, 2.5],
    [10, 2],
    [15, 1.5],
    [20, 1],
    [25, 0.5],
  ]);
});

test('at 1,500 m the same vacuum reads 0.49 V less', () => {
  // 101.325 − 84.556 = 16.77 kPa = 4.95 inHg of barometer lost, at 0.1 V each.
  const table = rows(tenthPerInHg, 84.556);
  expect(table).toEqual([
    [0, 2.5],
    [5, 2],
    [10, 1.5],
    [15, 1],
    [20, 0.5],
  ]);
});

test('a throttle has travel for its stimulus, in even steps over its range', () => {
  const throttle: SensorProfile = {
    ...MPX4250A,
    measures: 'position',
    transfer: { form: 'linear', low: { volts: 0.9, value: 0 }, high: { volts: 3.9, value: 100 } },
    lowest: 0,
    highest: 100,
    tolerance: { form: 'plus-minus', plusMinus: 2 },
  };
  const table = stimulusTable({ family: 'throttle', profile: throttle }, 0, units);
  expect(table.map(({ setting }) => setting)).toEqual([0, 12.5, 25, 37.5, 50, 62.5, 75, 87.5, 100]);
  expect(table[4]).toMatchObject({ volts: 2.4 });
  expect((table[4]?.highestVolts ?? 0) - (table[4]?.lowestVolts ?? 0)).toBeCloseTo(0.12, 9); // ±2 % of 30 mV each
});

test('ten thousand points are thinned for drawing, and the doubtful one always stays', () => {
  const points = Array.from({ length: 10_000 }, (_, i) => ({ volts: i, value: i }));
  const drawn = thinnedPoints(points, [4711]);
  expect(drawn.length).toBeLessThan(320);
  expect(drawn.filter(({ bad }) => bad)).toEqual([{ volts: 4711, value: 4711, bad: true }]);
  expect(thinnedPoints(points.slice(0, 12), [])).toHaveLength(12);
});
