import type { Envelope, MinMaxPyramid } from './minMaxPyramid.ts';
import { indexAfter, indexAt } from './recording.ts';

/**
 * Lowest and highest of a channel in columns of equal time, whatever the moments of its samples. A column between two samples
 * has what a line between them has there, or what stands until the next one where only the changes were written down; before the first,
 * after the last and beside a gap it has nothing.
 */
export function envelopeInTime(
  seconds: Float64Array,
  pyramid: MinMaxPyramid,
  { fromSeconds, toSeconds, columns }: { fromSeconds: number; toSeconds: number; columns: number },
  isOfChanges = false,
): Envelope {
  const lowest = new Float64Array(columns);
  const highest = new Float64Array(columns);
  const width = (toSeconds - fromSeconds) / columns;
  let start = indexAt(seconds, fromSeconds);
  for (let column = 0; column < columns; column++) {
    const from = fromSeconds + column * width;
    // The last column takes the end of the view as well.
    const end = column === columns - 1 ? indexAfter(seconds, toSeconds) : indexAt(seconds, from + width);
    if (end > start) [lowest[column], highest[column]] = pyramid.extremes(start, end);
    else
      lowest[column] = highest[column] = isOfChanges
        ? standingAt(seconds, pyramid, start)
        : lineAt(seconds, pyramid, start, from + width / 2);
    start = end;
  }
  return { lowest, highest };
}

/** What the sample before `next` says, until that one. */
const standingAt = (seconds: Float64Array, pyramid: MinMaxPyramid, next: number): number =>
  next <= 0 || next >= seconds.length ? NaN : pyramid.extremes(next - 1, next)[0];

/** Between the sample before `next` and `next` itself. */
function lineAt(seconds: Float64Array, pyramid: MinMaxPyramid, next: number, moment: number): number {
  if (next <= 0 || next >= seconds.length) return NaN;
  const [before] = pyramid.extremes(next - 1, next);
  const [after] = pyramid.extremes(next, next + 1);
  const [from, to] = [seconds[next - 1]!, seconds[next]!];
  return before + ((after - before) * (moment - from)) / (to - from);
}
