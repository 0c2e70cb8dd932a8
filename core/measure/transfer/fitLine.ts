import { say } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';
import { distinctValues, type CurveFit } from './curveFit.ts';
import { doubtfulPoint, LEAST_SCATTER_VOLTS } from './doubtfulPoint.ts';
import { leastSquares } from './leastSquares.ts';
import type { CurvePoint } from './sensorProfile.ts';

export interface LineFit extends Omit<CurveFit, 'transfer'> {
  voltsPerUnit: number;
  voltsAtZero: number;
}

/** Least squares of volts over value. Fails with `too-few-points`: no slope comes from one value. */
export function fitLine(points: readonly CurvePoint[]): Result<LineFit, 'too-few-points'> {
  const middle = points.reduce((sum, { value }) => sum + value, 0) / points.length;
  // About the middle, so that slope and height do not lean on each other.
  const row = (value: number): number[] => [1, value - middle];
  const fit =
    distinctValues(points) >= 2
      ? leastSquares(
          points.map(({ value }) => row(value)),
          points.map(({ volts }) => volts),
        )
      : undefined;
  if (!fit)
    return fail(
      'too-few-points',
      say('transfer.one-value-gives-no-slope'),
      say('transfer.enter-points-two-more-values'),
    );
  const [voltsInTheMiddle, voltsPerUnit] = fit.parameters as [number, number];
  return ok({
    voltsPerUnit,
    voltsAtZero: voltsInTheMiddle - voltsPerUnit * middle,
    residualVolts: fit.residuals,
    scatterVolts: fit.scatter,
    standardUncertaintyVoltsAt: (value) => fit.standardUncertaintyOf(row(value)),
    doubtful: doubtfulPoint(fit, LEAST_SCATTER_VOLTS),
  });
}
