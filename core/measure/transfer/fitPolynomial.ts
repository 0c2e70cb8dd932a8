import { say } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';
import { curveOf } from './curve.ts';
import { distinct, type CurveFit } from './curveFit.ts';
import { doubtfulPoint, LEAST_SCATTER_VOLTS } from './doubtfulPoint.ts';
import { leastSquares } from './leastSquares.ts';
import { isMonotonePolynomial } from './polynomial.ts';
import type { CurvePoint, PolynomialTransfer } from './sensorProfile.ts';

export const POLYNOMIAL_DEGREES = [2, 3, 4, 5] as const;

/**
 * Least squares of value over volts, since readings arrive in volts. Fails with `too-few-points` below degree + 1
 * different voltages, and with `not-monotone` where the curve turns round between the points.
 */
export function fitPolynomial(
  points: readonly CurvePoint[],
  degree: number,
  ratiometric: boolean,
): Result<CurveFit, 'too-few-points' | 'not-monotone'> {
  const volts = points.map((point) => point.volts);
  const fromVolts = volts.reduce((a, b) => Math.min(a, b), Infinity);
  const toVolts = volts.reduce((a, b) => Math.max(a, b), -Infinity);
  const middle = (fromVolts + toVolts) / 2;
  const half = (toVolts - fromVolts) / 2;
  // Powers of −1..1 stay apart from each other, where powers of volts do not.
  const row = (at: number): number[] =>
    Array.from({ length: degree + 1 }, (_, power) => ((at - middle) / half) ** power);
  const fit =
    distinct(volts) > degree
      ? leastSquares(
          volts.map(row),
          points.map(({ value }) => value),
        )
      : undefined;
  if (!fit) {
    return fail(
      'too-few-points',
      say('transfer.polynomial-degree-needs-points-different', { degree, points: degree + 1 }),
      say('transfer.enter-more-points-choose-lower'),
    );
  }
  const transfer: PolynomialTransfer = {
    form: 'polynomial',
    coefficients: unscaled(fit.parameters, middle, half),
    fromVolts,
    toVolts,
    ratiometric,
  };
  if (!isMonotonePolynomial(transfer.coefficients, fromVolts, toVolts)) {
    return fail(
      'not-monotone',
      say('transfer.fitted-polynomial-turns-round-between'),
      say('transfer.choose-lower-degree-curve-through'),
    );
  }
  const curve = curveOf({ transfer, nominalReferenceVolts: 1 }, 1);
  const meanSlope = Math.abs((curve.valueAt(toVolts) - curve.valueAt(fromVolts)) / (toVolts - fromVolts));
  return ok({
    transfer,
    residualVolts: points.map((point) => point.volts - curve.voltsAt(point.value)),
    scatterVolts: fit.scatter / meanSlope,
    standardUncertaintyVoltsAt(value) {
      const at = curve.voltsAt(value);
      return fit.standardUncertaintyOf(row(at)) / Math.abs(curve.valuePerVoltAt(at) || meanSlope);
    },
    doubtful: doubtfulPoint(fit, LEAST_SCATTER_VOLTS * meanSlope),
  });
}

/** Coefficients of powers of (x − middle)/half as coefficients of powers of x, by Horner's rule on polynomials. */
function unscaled(scaled: readonly number[], middle: number, half: number): number[] {
  return scaled.reduceRight<number[]>((sum, coefficient) => {
    const product = new Array<number>(sum.length + 1).fill(0);
    sum.forEach((factor, power) => {
      product[power]! -= (factor * middle) / half;
      product[power + 1]! += factor / half;
    });
    product[0]! += coefficient;
    return product.slice(0, scaled.length);
  }, []);
}
