import fc from 'fast-check';
import { expect, test } from 'vitest';
import { niceTicks, roomyDomain } from './niceTicks.ts';

test('ticks are round numbers', () => {
  expect(niceTicks(0, 11.996, 6)).toEqual([0, 2, 4, 6, 8, 10]);
  expect(niceTicks(0.94, 4.46, 5)).toEqual([1, 2, 3, 4]);
  expect(niceTicks(3.1853, 3.1864, 5)).toEqual([3.1855, 3.186]);
});

test('ticks lie inside, rise, and are never too many', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -1e6, max: 1e6, noNaN: true }),
      fc.double({ min: 1e-3, max: 1e6, noNaN: true }),
      fc.integer({ min: 2, max: 9 }),
      (low, span, most) => {
        const ticks = niceTicks(low, low + span, most);
        expect(ticks.length).toBeLessThanOrEqual(most + 1);
        for (const [i, tick] of ticks.entries()) {
          expect(tick).toBeGreaterThanOrEqual(low - 1e-6 * span);
          expect(tick).toBeLessThanOrEqual(low + span + 1e-6 * span);
          if (i > 0) expect(tick).toBeGreaterThan(ticks[i - 1]!);
        }
      },
    ),
  );
});

test('a flat line has room above and below', () => {
  const [low, high] = roomyDomain(5, 5);
  expect(low).toBeLessThan(5);
  expect(high).toBeGreaterThan(5);
});
