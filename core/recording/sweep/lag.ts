import { indexAfter } from './recording.ts';

/** How much later one channel is than another. */
export interface Lag {
  /** Positive where the second follows the first. */
  seconds: number;
  /** Of their changes, at that lag: 1 is the same shape. */
  correlation: number;
}

const MOST_POINTS = 4096;
const LEAST_CORRELATION = 0.5;

/**
 * The lag at which two channels move alike, by the correlation of their changes on a common grid; undefined where they do
 * not move alike at any.
 */
export function lagBetween(
  seconds: Float64Array,
  first: Float64Array,
  second: Float64Array,
  longestSeconds: number,
): Lag | undefined {
  const span = (seconds.at(-1) ?? 0) - (seconds[0] ?? 0);
  const points = Math.min(MOST_POINTS, seconds.length);
  if (!(span > 0) || points < 16) return undefined;
  const step = span / (points - 1);
  const grid = gridOver(seconds, points, step);
  const a = centred(resampled(seconds, first, grid, step));
  const b = centred(resampled(seconds, second, grid, step));
  const most = Math.min(points >> 1, Math.ceil(longestSeconds / step));
  let best = { shift: 0, correlation: -Infinity };
  const at = (shift: number): number => {
    let [ab, aa, bb] = [0, 0, 0];
    for (let i = Math.max(0, -shift); i < Math.min(points, points - shift); i++) {
      ab += a[i]! * b[i + shift]!;
      aa += a[i]! ** 2;
      bb += b[i + shift]! ** 2;
    }
    return aa > 0 && bb > 0 ? ab / Math.sqrt(aa * bb) : 0;
  };
  for (let shift = -most; shift <= most; shift++) {
    const correlation = at(shift);
    if (correlation > best.correlation) best = { shift, correlation };
  }
  if (!(best.correlation >= LEAST_CORRELATION)) return undefined;
  // Between the points of the grid: the top of the parabola through the best and its neighbours.
  const [left, right] = [at(best.shift - 1), at(best.shift + 1)];
  const bend = left - 2 * best.correlation + right;
  const between = bend < 0 ? (left - right) / (2 * bend) : 0;
  return { seconds: (best.shift + between) * step, correlation: best.correlation };
}

/** By point of a grid the sample at it or before it. */
function gridOver(seconds: Float64Array, points: number, step: number): Int32Array {
  const grid = new Int32Array(points);
  for (let i = 0; i < points; i++) grid[i] = Math.max(0, indexAfter(seconds, seconds[0]! + i * step) - 1);
  return grid;
}

function resampled(
  seconds: Float64Array,
  values: Float64Array,
  grid: Int32Array,
  step: number,
): Float64Array {
  const out = new Float64Array(grid.length);
  let last = values.find((value) => !Number.isNaN(value)) ?? 0;
  for (let i = 0; i < grid.length; i++) {
    const j = grid[i]!;
    const moment = seconds[0]! + i * step;
    const [here, next] = [values[j]!, values[j + 1] ?? values[j]!];
    const gap = (seconds[j + 1] ?? seconds[j]!) - seconds[j]!;
    const value = gap > 0 ? here + ((next - here) * (moment - seconds[j]!)) / gap : here;
    if (!Number.isNaN(value)) last = value;
    out[i] = last;
  }
  return out;
}

function centred(values: Float64Array): Float64Array {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return values.map((value) => value - mean);
}
