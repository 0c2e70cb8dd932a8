import { fail, ok, type Result } from '../problem/index.ts';
import type { LinePoint } from './sensorProfile.ts';

export interface LineFit {
  voltsPerKpa: number;
  voltsAtZero: number;
  /** Of each point, in the order given: measured less fitted. */
  residualVolts: number[];
  /** Standard deviation of the residuals with n − 2 degrees of freedom; zero for two points. */
  scatterVolts: number;
  /** One standard uncertainty of the fitted volts at a pressure. */
  standardUncertaintyVoltsAt(pressureKpaAbs: number): number;
  /** The place of a point that the others, fitted without it, would not believe. Never dropped, only pointed out. */
  doubtful: number | undefined;
}

/** A point this many scatters of the others away from their line is pointed out. */
const DOUBTFUL_SCATTERS = 5;
/** Below this the others agree better than any meter: a point is then judged against the meter instead. */
const LEAST_SCATTER_VOLTS = 0.01;

/** Least squares of volts over pressure. Fails with `too-few-points`: no slope comes from one pressure. */
export function fitLine(points: readonly LinePoint[]): Result<LineFit, 'too-few-points'> {
  if (new Set(points.map(({ kpaAbs }) => kpaAbs)).size < 2) {
    return fail('too-few-points', 'One pressure gives no slope.', 'Enter points at two or more pressures.');
  }
  const fit = leastSquares(points);
  return ok({ ...fit, doubtful: doubtfulPoint(points) });
}

function leastSquares(points: readonly LinePoint[]): Omit<LineFit, 'doubtful'> {
  const n = points.length;
  const meanKpa = points.reduce((sum, { kpaAbs }) => sum + kpaAbs, 0) / n;
  const meanVolts = points.reduce((sum, { volts }) => sum + volts, 0) / n;
  const spread = points.reduce((sum, { kpaAbs }) => sum + (kpaAbs - meanKpa) ** 2, 0);
  const voltsPerKpa =
    points.reduce((sum, p) => sum + (p.kpaAbs - meanKpa) * (p.volts - meanVolts), 0) / spread;
  const voltsAtZero = meanVolts - voltsPerKpa * meanKpa;
  const residualVolts = points.map(({ kpaAbs, volts }) => volts - (voltsAtZero + voltsPerKpa * kpaAbs));
  const squares = residualVolts.reduce((sum, residual) => sum + residual ** 2, 0);
  const scatterVolts = n > 2 ? Math.sqrt(squares / (n - 2)) : 0;
  return {
    voltsPerKpa,
    voltsAtZero,
    residualVolts,
    scatterVolts,
    standardUncertaintyVoltsAt: (kpa) => scatterVolts * Math.sqrt(1 / n + (kpa - meanKpa) ** 2 / spread),
  };
}

/** Leaves each point out in turn: a bad one pulls the line towards itself, so only the others can convict it. */
function doubtfulPoint(points: readonly LinePoint[]): number | undefined {
  if (points.length < 4) return undefined;
  const worst = points
    .map((point, i) => {
      const others = points.filter((_other, j) => j !== i);
      if (new Set(others.map(({ kpaAbs }) => kpaAbs)).size < 2) return { i, scatters: 0 };
      const { voltsPerKpa, voltsAtZero, scatterVolts } = leastSquares(others);
      const away = Math.abs(point.volts - (voltsAtZero + voltsPerKpa * point.kpaAbs));
      return { i, scatters: away / Math.max(scatterVolts, LEAST_SCATTER_VOLTS) };
    })
    .reduce((a, b) => (b.scatters > a.scatters ? b : a));
  return worst.scatters > DOUBTFUL_SCATTERS ? worst.i : undefined;
}
