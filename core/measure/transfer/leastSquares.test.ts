import fc from 'fast-check';
import { expect, test } from 'vitest';
import { doubtfulPoint } from './doubtfulPoint.ts';
import { leastSquares } from './leastSquares.ts';

const line = (x: readonly number[]) => x.map((value) => [1, value]);
const solved = (rows: readonly (readonly number[])[], measured: readonly number[]) => {
  const solution = leastSquares(rows, measured);
  if (!solution) throw new Error('no solution');
  return solution;
};

// By hand: x 0 1 2 3, y 1 3 4 8. Slope Σ(x−1.5)(y−4)/5 = 11/5, intercept 4 − 3.3; residuals 0.3 0.1 −1.1 0.7.
test('a line through four points has the slope, the residuals and the scatter of the hand calculation', () => {
  const fit = solved(line([0, 1, 2, 3]), [1, 3, 4, 8]);
  expect(fit.parameters[0]).toBeCloseTo(0.7, 12);
  expect(fit.parameters[1]).toBeCloseTo(2.2, 12);
  [0.3, 0.1, -1.1, 0.7].forEach((residual, i) => expect(fit.residuals[i]).toBeCloseTo(residual, 12));
  expect(fit.scatter).toBeCloseTo(Math.sqrt(1.8 / 2), 12);
  // In the middle of n points a line is known to scatter/√n; at its end to scatter·√(1/4 + 1.5²/5).
  expect(fit.standardUncertaintyOf([1, 1.5])).toBeCloseTo(fit.scatter / 2, 12);
  expect(fit.standardUncertaintyOf([1, 3])).toBeCloseTo(fit.scatter * Math.sqrt(0.7), 12);
});

test('columns that do not tell their parameters apart give no solution', () => {
  const twice = [1, 2, 3, 4].map((x) => [x, 2 * x]);
  expect(leastSquares(twice, [1, 2, 3, 4])).toBeUndefined();
  expect(leastSquares(line([5, 5, 5]), [1, 2, 3])).toBeUndefined(); // three readings at one voltage
  expect(leastSquares([[0], [0]], [1, 2])).toBeUndefined();
});

const sample = fc
  .array(
    fc.record({
      x: fc.double({ min: 0, max: 5, noNaN: true }),
      y: fc.double({ min: -10, max: 300, noNaN: true }),
    }),
    { minLength: 5, maxLength: 20 },
  )
  .filter((points) => Math.max(...points.map(({ x }) => x)) - Math.min(...points.map(({ x }) => x)) > 1);

test('no other line lies closer, and the points share out as many pulls as there are parameters', () => {
  fc.assert(
    fc.property(
      sample,
      fc.double({ min: -1, max: 1, noNaN: true }),
      fc.double({ min: -1, max: 1, noNaN: true }),
      (points, a, b) => {
        const { parameters, residuals, leverages } = solved(
          line(points.map(({ x }) => x)),
          points.map(({ y }) => y),
        );
        const [intercept = NaN, slope = NaN] = parameters;
        const squares = residuals.reduce((sum, r) => sum + r ** 2, 0);
        const other = points.reduce((sum, { x, y }) => sum + (y - (intercept + a) - (slope + b) * x) ** 2, 0);
        expect(other).toBeGreaterThanOrEqual(squares * (1 - 1e-9) - 1e-9);
        expect(leverages.reduce((sum, pull) => sum + pull, 0)).toBeCloseTo(2, 6);
      },
    ),
  );
});

test('what a point is judged by is the fit of the others: leaving it out for good says the same', () => {
  fc.assert(
    fc.property(sample, fc.nat(), fc.double({ min: 20, max: 400, noNaN: true }), (points, pick, slip) => {
      const at = pick % points.length;
      const x = points.map((point) => point.x);
      const y = points.map((point, i) => point.y / 100 + (i === at ? slip : 0));
      const found = doubtfulPoint(solved(line(x), y), 0.01);
      if (found === undefined) return;
      const without = <T>(all: readonly T[]): T[] => all.filter((_one, i) => i !== found);
      const others = leastSquares(line(without(x)), without(y));
      if (!others) return;
      const [intercept = NaN, gain = NaN] = others.parameters;
      const off = Math.abs(y[found]! - intercept - gain * x[found]!);
      expect(off / Math.max(others.scatter, 0.01)).toBeGreaterThan(5 * (1 - 1e-6));
    }),
  );
});

test('three points of a line accuse nobody: one of two others cannot be called wrong', () => {
  expect(doubtfulPoint(solved(line([1, 2, 3]), [1, 2, 9]), 0.01)).toBeUndefined();
  // With four on a line, the fifth is the slip.
  expect(doubtfulPoint(solved(line([1, 2, 3, 4, 5]), [1, 2, 9, 4, 5]), 0.01)).toBe(2);
});
