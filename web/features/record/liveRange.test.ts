import { expect, test } from 'vitest';
import { liveRange } from './liveRange.ts';

test('a range does not move with every sample, and holds all of them', () => {
  expect(liveRange('V', 1.1, 4.2)).toEqual(liveRange('V', -0.02, 5.035));
  expect(liveRange('V', Infinity, -Infinity)).toEqual([0, 5]);
  expect(liveRange('kPa', Infinity, -Infinity)).toEqual([0, 1]);
  for (const [low, high] of [
    [-0.3, 5.2],
    [0, 14.2],
    [101, 101],
    [0, 0],
  ] as const) {
    const [from, to] = liveRange('V', low, high);
    expect(from).toBeLessThan(low);
    expect(to).toBeGreaterThan(high);
    expect(liveRange('kPa', low, high)[1]).toBeGreaterThan(high);
  }
});
