import fc from 'fast-check';
import { expect, test } from 'vitest';
import { derivative, polynomialAt, signChanges } from './polynomial.ts';
import { solveMonotone } from './solveMonotone.ts';

/** (x − r₁)(x − r₂)…, constant first. */
const withRoots = (roots: readonly number[]): number[] =>
  roots.reduce<number[]>((all, root) => [0, ...all].map((up, i) => up - root * (all[i] ?? 0)), [1]);

test('2 + 3x + 4x² is 2, 9 and 24 at 0, 1 and 2, and its slope 3 + 8x', () => {
  expect([0, 1, 2].map((x) => polynomialAt([2, 3, 4], x))).toEqual([2, 9, 24]);
  expect(derivative([2, 3, 4])).toEqual([3, 8]);
  expect(derivative([7])).toEqual([]);
});

test('every crossing between two places is found, and none beside them', () => {
  const cubic = withRoots([1, 2.5, 4]);
  expect(signChanges(cubic, 0, 5).map((x) => Number(x.toFixed(9)))).toEqual([1, 2.5, 4]);
  expect(signChanges(cubic, 1.5, 3)).toHaveLength(1);
  expect(signChanges(cubic, 4.5, 9)).toEqual([]);
  expect(signChanges(withRoots([2, 2]), 0, 5)).toEqual([]); // touches zero and turns back
});

test('whatever roots a quintic has, they come back in order', () => {
  const apart = fc
    .array(fc.double({ min: 0.1, max: 1, noNaN: true }), { minLength: 1, maxLength: 5 })
    .map((steps) => steps.map((_step, i) => steps.slice(0, i + 1).reduce((sum, step) => sum + step, 0)));
  fc.assert(
    fc.property(apart, (roots) => {
      const found = signChanges(withRoots(roots), 0, 6);
      expect(found).toHaveLength(roots.length);
      found.forEach((root, i) => expect(root).toBeCloseTo(roots[i]!, 6));
    }),
  );
});

test.each([
  ['rising', (x: number) => x ** 2, 2, 0, 3, Math.SQRT2],
  ['falling', (x: number) => 5 - 2 * x, 1, 0, 5, 2],
] as const)('a %s function takes a value in one place', (way, at, wanted, from, to, expected) => {
  expect(solveMonotone(at, wanted, { from, to, rising: way === 'rising' })).toBeCloseTo(expected, 12);
});

test('a value never taken ends at the end that is nearest to it', () => {
  expect(solveMonotone((x) => x, 9, { from: 0, to: 3, rising: true })).toBeCloseTo(3, 12);
  expect(solveMonotone((x) => x, -9, { from: 0, to: 3, rising: true })).toBeCloseTo(0, 12);
});
