import { MPX4250A, type SensorProfile } from '@lettura/core/transfer';
import { expect, test } from 'vitest';
import { expectedTable } from './expectedTable.ts';

/** Common practice: 3.0 V at 0 inHg of vacuum at sea level, and 0.1 V less for every inHg. */
const tenthPerInHg: SensorProfile = {
  ...MPX4250A,
  transfer: {
    form: 'linear',
    low: { volts: 0.5, kpaAbs: 101.325 - 25 * 3.386389 },
    high: { volts: 3, kpaAbs: 101.325 },
  },
  lowestKpaAbs: 13,
  highestKpaAbs: 119,
};

test('the pump table of the family that loses 0.1 V per inHg, at sea level (common practice)', () => {
  const rows = expectedTable(tenthPerInHg, 101.325, 'inHg');
  expect(rows.map(({ vacuum, volts }) => [vacuum, Number(volts.toFixed(2))])).toEqual([
    [0, 3],
    [5, 2.5],
    [10, 2],
    [15, 1.5],
    [20, 1],
    [25, 0.5],
  ]);
});

test('at 1,500 m the same vacuum reads 0.49 V less, and what is outside the range is left out', () => {
  // 101.325 − 84.556 = 16.77 kPa = 4.95 inHg of barometer lost, at 0.1 V each.
  const rows = expectedTable(tenthPerInHg, 84.556, 'inHg');
  expect(rows.map(({ vacuum, volts }) => [vacuum, Number(volts.toFixed(2))])).toEqual([
    [0, 2.5],
    [5, 2],
    [10, 1.5],
    [15, 1],
    [20, 0.5],
  ]);
});

test('in other units the steps are round numbers', () => {
  expect(expectedTable(MPX4250A, 100, 'kPa').map(({ vacuum }) => vacuum)).toEqual([
    0, 10, 20, 30, 40, 50, 60, 70, 80,
  ]);
  expect(expectedTable(MPX4250A, 100, 'mbar')[1]?.vacuum).toBe(100);
});
