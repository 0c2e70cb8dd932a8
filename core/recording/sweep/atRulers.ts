import { meanOver } from './meanOver.ts';
import type { MinMaxPyramid } from './minMaxPyramid.ts';
import { indexAfter, indexAt } from './recording.ts';

/** What one channel shows where two rulers lie over it. NaN where it shows nothing. */
export interface AtRulers {
  /** At each moment, on the line between the samples around it, or what stands there: as it is drawn. */
  at: number[];
  /** Of the samples from the earlier to the later, both with it; undefined with fewer than two rulers, or where no sample lies there. */
  between?: { lowest: number; highest: number; mean: number };
}

/**
 * @param moments     one or two, in seconds, in any order
 * @param isOfChanges only the changes were written down: each value stands until the next
 */
export function atRulers(
  seconds: Float64Array,
  values: Float64Array,
  pyramid: MinMaxPyramid,
  moments: readonly number[],
  isOfChanges = false,
): AtRulers {
  if (isOfChanges) return atChanges(seconds, values, moments);
  const at = moments.map((moment) => valueAt(seconds, values, moment));
  if (moments.length < 2) return { at };
  const [from, to] = [indexAt(seconds, Math.min(...moments)), indexAfter(seconds, Math.max(...moments))];
  if (to <= from) return { at };
  const mean = meanOver(values, from, to - 1);
  if (Number.isNaN(mean)) return { at };
  const [lowest, highest] = pyramid.extremes(from, to);
  return { at, between: { lowest, highest, mean } };
}

/** Of a capture of changes: its mean is over time, since its samples are not. */
function atChanges(seconds: Float64Array, values: Float64Array, moments: readonly number[]): AtRulers {
  const standing = (moment: number): number => {
    const next = indexAfter(seconds, moment);
    return next === 0 || moment > seconds.at(-1)! ? NaN : values[next - 1]!;
  };
  const at = moments.map(standing);
  const [from, to] = [Math.min(...moments), Math.max(...moments)];
  if (to <= from || at.some(Number.isNaN)) return { at };
  let value = standing(from);
  let [since, sum, lowest, highest] = [from, 0, value, value];
  for (let i = indexAfter(seconds, from); i < seconds.length && seconds[i]! <= to; i++) {
    sum += value * (seconds[i]! - since);
    [since, value] = [seconds[i]!, values[i]!];
    if (value < lowest) lowest = value;
    if (value > highest) highest = value;
  }
  return { at, between: { lowest, highest, mean: (sum + value * (to - since)) / (to - from) } };
}

function valueAt(seconds: Float64Array, values: Float64Array, moment: number): number {
  const next = indexAt(seconds, moment);
  if (seconds[next] === moment) return values[next]!;
  if (next === 0 || next >= seconds.length) return NaN;
  const [from, to] = [seconds[next - 1]!, seconds[next]!];
  const [before, after] = [values[next - 1]!, values[next]!];
  return before + ((after - before) * (moment - from)) / (to - from);
}
