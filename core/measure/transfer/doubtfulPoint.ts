import type { LeastSquares } from './leastSquares.ts';

/** A point this many scatters of the others away from their curve is pointed out. */
const DOUBTFUL_SCATTERS = 5;
/** Below this the others agree better than any meter: a point is then judged against the meter instead. */
export const LEAST_SCATTER_VOLTS = 0.01;

/**
 * The place of the point that the others, fitted without it, would not believe. A bad point pulls the curve towards
 * itself, so only the others can convict it; leaving one row out of a least-squares fit needs no second fit (Cook and
 * Weisberg, Residuals and Influence in Regression, 2.2).
 *
 * @param leastScatter in the unit of the residuals
 */
export function doubtfulPoint(
  { parameters, residuals, leverages }: LeastSquares,
  leastScatter: number,
): number | undefined {
  const left = residuals.length - parameters.length - 1;
  if (left < 1) return undefined;
  const squares = residuals.reduce((sum, residual) => sum + residual ** 2, 0);
  let worst: number | undefined;
  let most = DOUBTFUL_SCATTERS;
  residuals.forEach((residual, i) => {
    const free = 1 - leverages[i]!;
    if (free < 1e-9) return; // the curve goes through it whatever it is: the others say nothing about it
    const scatterOfOthers = Math.sqrt(Math.max(0, squares - residual ** 2 / free) / left);
    const scatters = Math.abs(residual) / free / Math.max(scatterOfOthers, leastScatter);
    if (scatters > most) {
      most = scatters;
      worst = i;
    }
  });
  return worst;
}
