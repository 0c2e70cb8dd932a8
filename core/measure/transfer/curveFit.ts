import type { TransferFunction } from './sensorProfile.ts';

/** A transfer function fitted to points, with how well the points are met and the curve is known. */
export interface CurveFit {
  transfer: TransferFunction;
  /** Of each point, in the order given: measured less fitted. */
  residualVolts: number[];
  /** Standard deviation of the residuals, less a degree of freedom for each parameter. */
  scatterVolts: number;
  /** One standard uncertainty of the fitted volts at a value. */
  standardUncertaintyVoltsAt(value: number): number;
  /** The place of a point that the others would not believe. Never dropped, only pointed out. */
  doubtful: number | undefined;
  /** The volts stand still or turn round somewhere: one voltage then means several values. */
  turns?: boolean;
}

export type FitFault =
  | 'too-few-points'
  | 'flat-line'
  | 'not-monotone'
  | 'not-a-curve'
  | 'no-such-law'
  | 'not-two-points'
  | 'no-step'
  | 'no-pulses';

/** Numbers nearer than this, in volts or in the measurand's unit, are one: no instrument here tells them apart. */
const LEAST_APART = 1e-6;

/** How many different numbers there are: no curve comes from fewer than its parameters. */
export const distinct = (numbers: readonly number[]): number =>
  new Set(numbers.map((one) => Math.round(one / LEAST_APART))).size;
/** How many different values the points have: a curve has no more coefficients than that. */
export const distinctValues = (points: readonly { value: number }[]): number =>
  distinct(points.map(({ value }) => value));
