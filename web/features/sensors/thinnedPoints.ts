import type { CurvePoint } from '@lettura/core/measure/transfer';

/** More marks than this only cover each other, and ten thousand of them stall the drawing. */
const MOST_MARKS = 300;

/** Points worth drawing: evenly picked where there are too many, but never without the doubtful ones. */
export function thinnedPoints(
  points: readonly CurvePoint[],
  doubtful: readonly number[],
): (CurvePoint & { bad: boolean })[] {
  const every = Math.max(1, Math.ceil(points.length / MOST_MARKS));
  return points.flatMap((point, i) =>
    i % every === 0 || doubtful.includes(i) ? [{ ...point, bad: doubtful.includes(i) }] : [],
  );
}
