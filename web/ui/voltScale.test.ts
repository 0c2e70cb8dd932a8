import { expect, test } from 'vitest';
import { scaleEnds, ticksOf } from './voltScale.ts';

test('a scale holds what is to be shown: millivolts, a sensor’s volts, a battery’s', () => {
  expect(scaleEnds([0, 0.05])).toEqual([0, 0.6]);
  expect(scaleEnds([-0.018, 0.55])).toEqual([0, 0.6]);
  expect(scaleEnds([2.24, 2.37, 4.9])).toEqual([0, 5.5]);
  expect(scaleEnds([0.1, 13.9])).toEqual([0, 15]);
  expect(scaleEnds([27.4])).toEqual([0, 30]);
});

test('its ticks are round, and the last one says the unit', () => {
  expect(ticksOf(0, 0.6).map(({ label }) => label)).toEqual([
    '0',
    '100',
    '200',
    '300',
    '400',
    '500',
    '600 mV',
  ]);
  expect(ticksOf(0, 5.5).map(({ label }) => label)).toEqual(['0', '1', '2', '3', '4', '5 V']);
  expect(ticksOf(0, 15).map(({ at }) => at)).toEqual([0, 3, 6, 9, 12, 15]);
  expect(ticksOf(0, 30).map(({ label }) => label)).toEqual(['0', '6', '12', '18', '24', '30 V']);
});
