import { fail, ok, type Result } from '../problem/index.ts';
import { fitLine } from './fitLine.ts';
import { isMonotone } from './isMonotone.ts';
import type { LinePoint, TransferFunction } from './sensorProfile.ts';

export interface ShapeChoice {
  form: 'line' | 'table';
  /** Whether the output follows the supply. */
  ratiometric: boolean;
  /** The reference that the volts were noted at. */
  referenceVolts: number;
}

/** The transfer function that points stand for: the line that fits them best, or a cubic through every one. */
export function transferFromPoints(
  points: readonly LinePoint[],
  { form, ratiometric, referenceVolts }: ShapeChoice,
): Result<TransferFunction, 'too-few-points' | 'not-monotone' | 'flat-line'> {
  if (form === 'table') {
    if (points.length < 3)
      return fail(
        'too-few-points',
        'A table needs three points.',
        'Enter at least three points, or choose the straight line.',
      );
    return isMonotone(points)
      ? ok({ form: 'table', points, ratiometric })
      : fail(
          'not-monotone',
          'The points turn round or repeat: one voltage would mean two pressures.',
          'Look for the point that breaks the order.',
        );
  }
  const fit = fitLine(points);
  if (!fit.ok) return fit;
  const { voltsPerKpa, voltsAtZero } = fit.value;
  if (Math.abs(voltsPerKpa) < 1e-6) {
    return fail(
      'flat-line',
      'The volts do not change with pressure.',
      'Check the points: a dead sensor has no curve.',
    );
  }
  if (ratiometric) {
    return ok({
      form: 'ratiometric',
      sharePerKpa: voltsPerKpa / referenceVolts,
      shareAtZero: voltsAtZero / referenceVolts,
    });
  }
  const pressures = points.map(({ kpaAbs }) => kpaAbs);
  const onLine = (kpaAbs: number): LinePoint => ({ kpaAbs, volts: voltsAtZero + voltsPerKpa * kpaAbs });
  return ok({ form: 'linear', low: onLine(Math.min(...pressures)), high: onLine(Math.max(...pressures)) });
}
