import { meanOver } from './meanOver.ts';
import type { MinMaxPyramid } from './minMaxPyramid.ts';
import { indexAfter, indexAt } from './recording.ts';

/** What one channel shows where two rulers lie over it. NaN where it shows nothing. */
export interface AtRulers {
  /** At each moment, on the line between the samples around it, as it is drawn. */
  at: number[];
  /** Of the samples from the earlier to the later, both with it; undefined with fewer than two rulers, or where no sample lies there. */
  between?: { lowest: number; highest: number; mean: number };
}

/** @param moments one or two, in seconds, in any order */
export function atRulers(
  seconds: Float64Array,
  values: Float64Array,
  pyramid: MinMaxPyramid,
  moments: readonly number[],
): AtRulers {
  const at = moments.map((moment) => valueAt(seconds, values, moment));
  if (moments.length < 2) return { at };
  const [from, to] = [indexAt(seconds, Math.min(...moments)), indexAfter(seconds, Math.max(...moments))];
  if (to <= from) return { at };
  const mean = meanOver(values, from, to - 1);
  if (Number.isNaN(mean)) return { at };
  const [lowest, highest] = pyramid.extremes(from, to);
  return { at, between: { lowest, highest, mean } };
}

function valueAt(seconds: Float64Array, values: Float64Array, moment: number): number {
  const next = indexAt(seconds, moment);
  if (seconds[next] === moment) return values[next]!;
  if (next === 0 || next >= seconds.length) return NaN;
  const [from, to] = [seconds[next - 1]!, seconds[next]!];
  const [before, after] = [values[next - 1]!, values[next]!];
  return before + ((after - before) * (moment - from)) / (to - from);
}
