import { expect, test } from 'vitest';
import { steadiness as steadinessWith, STEADY_MS, type Moment } from './steady.ts';

const steadiness = (moments: readonly Moment[]) => steadinessWith(moments, 0.01);
const every50 = (valueAt: (i: number) => number | null, count = 60): Moment[] =>
  Array.from({ length: count }, (_, i) => ({ atMs: 50 * i, value: valueAt(i) }));

test('a value that stands is steady, with its mean; its last digits may tremble', () => {
  const found = steadiness(every50((i) => 2.31 + (i % 2 === 0 ? 0.004 : -0.004)));
  expect(found.steady).toBe(true);
  expect(found.mean).toBeCloseTo(2.31, 3);
});

test('a value that moves, has gaps, or has not stood long enough is not', () => {
  expect(steadiness(every50((i) => 2 + 0.01 * i)).steady).toBe(false);
  expect(steadiness(every50((i) => (i === 55 ? null : 2.3))).steady).toBe(false);
  expect(steadiness(every50(() => 2.3, Math.floor(STEADY_MS / 50) - 5)).steady).toBe(false);
  expect(steadiness([])).toEqual({ steady: false, mean: undefined });
});

test('what was before does not count once it stands', () => {
  expect(steadiness(every50((i) => (i < 20 ? 4.9 : 1.2))).mean).toBeCloseTo(1.2, 6);
});
