import { strokesOf } from './strokes.ts';

/**
 * What a sweep says of a sensor, in per cent of its output span, in the terms of IEC 61298-2 (from memory): measured over
 * strokes up and down, against a stimulus that is known sample by sample.
 */
export interface SweepFigures {
  /** Largest deviation of a single stroke from what it should be. */
  inaccuracyPercent: number;
  /** Largest distance of the mean of the strokes up from that of the strokes down. */
  hysteresisPercent: number;
  /** Largest deviation of the mean from the line through its ends. */
  terminalNonLinearityPercent: number;
  /** Largest deviation of the mean from the line that makes it smallest. */
  independentNonLinearityPercent: number;
  /** Largest distance between strokes of one direction; undefined for one stroke each. */
  repeatabilityPercent: number | undefined;
  /** Where the largest hysteresis lies, as stimulus. */
  hysteresisAt: number;
  strokesUp: number;
  strokesDown: number;
}

/** Levels of the stimulus at which the strokes are compared. */
const LEVELS = 41;
/** Fewer are no sweep. */
const LEAST_LEVELS = 11;
/** At the very ends a stroke turns: no output belongs to a direction there. */
const END_SHARE = 0.02;

/**
 * @param stimulus sample by sample, in its own unit
 * @param output in the unit of `expected`
 * @param expected what the output should be at a stimulus
 * @param outputSpan of the sensor, which the figures are a share of; left out, what was swept, without the ends that are left off
 * @returns undefined without a full stroke each way, or where the output is missing over much of the travel
 */
export function sweepFigures(
  stimulus: Float64Array,
  output: Float64Array,
  expected: (stimulus: number) => number,
  outputSpan?: number,
): SweepFigures | undefined {
  const strokes = strokesOf(stimulus);
  const full = fullStrokes(stimulus, strokes);
  const up = full.filter(({ direction }) => direction === 'up');
  const down = full.filter(({ direction }) => direction === 'down');
  if (up.length === 0 || down.length === 0) return undefined;
  const [lowest, highest] = commonRange(stimulus, full);
  const every = Array.from({ length: LEVELS }, (_, i) => lowest + ((highest - lowest) * i) / (LEVELS - 1));
  const at = (level: number) => full.map(({ from, to }) => outputAt(stimulus, output, from, to, level));
  // Where a stroke has no sample there is nothing to compare.
  const levels = every.filter((level) => at(level).every(Number.isFinite));
  if (levels.length < LEAST_LEVELS) return undefined;
  const curve = ({ from, to }: (typeof full)[number]) =>
    levels.map((level) => outputAt(stimulus, output, from, to, level));
  const ups = up.map(curve);
  const downs = down.map(curve);
  const meanUp = meanOf(ups);
  const meanDown = meanOf(downs);
  const mean = meanOf([meanUp, meanDown]);
  const span = outputSpan ?? Math.abs(expected(highest) - expected(lowest));
  if (!(span > 0)) return undefined;
  const percent = (distance: number) => (100 * distance) / span;
  const largest = (distances: readonly number[]) =>
    distances.reduce((most, distance) => Math.max(most, Math.abs(distance)), 0);
  const apart = meanUp.map((value, i) => value - meanDown[i]!);
  const hysteresis = largest(apart);
  const spreads = [ups, downs].filter((curves) => curves.length > 1).flatMap(spreadOf);
  return {
    inaccuracyPercent: percent(
      largest([...ups, ...downs].flatMap((one) => one.map((value, i) => value - expected(levels[i]!)))),
    ),
    hysteresisPercent: percent(hysteresis),
    terminalNonLinearityPercent: percent(largest(fromTerminalLine(levels, mean))),
    independentNonLinearityPercent: percent(smallestDeviation(levels, mean)),
    repeatabilityPercent: spreads.length > 0 ? percent(largest(spreads)) : undefined,
    hysteresisAt: levels[apart.findIndex((value) => Math.abs(value) === hysteresis)] ?? NaN,
    strokesUp: up.length,
    strokesDown: down.length,
  };
}

/** Only strokes over most of the travel are compared. */
const FULL_SHARE = 0.8;

function fullStrokes(stimulus: Float64Array, strokes: ReturnType<typeof strokesOf>) {
  const travel = ({ from, to }: (typeof strokes)[number]) => Math.abs(stimulus[to]! - stimulus[from]!);
  const most = Math.max(0, ...strokes.map(travel));
  return strokes.filter((stroke) => travel(stroke) >= FULL_SHARE * most);
}

function commonRange(stimulus: Float64Array, strokes: ReturnType<typeof strokesOf>): [number, number] {
  const ends = strokes.map(({ from, to }) => [stimulus[from]!, stimulus[to]!].sort((a, b) => a - b));
  const lowest = Math.max(...ends.map(([low]) => low!));
  const highest = Math.min(...ends.map(([, high]) => high!));
  const margin = END_SHARE * (highest - lowest);
  return [lowest + margin, highest - margin];
}

/** The output around a level of the stimulus: a line through all samples within half a step of it, so that noise averages out. */
function outputAt(
  stimulus: Float64Array,
  output: Float64Array,
  from: number,
  to: number,
  level: number,
): number {
  const reach = Math.abs(stimulus[to]! - stimulus[from]!) / (2 * (LEVELS - 1));
  let [n, sx, sy, sxx, sxy] = [0, 0, 0, 0, 0];
  for (let i = from; i <= to; i++) {
    const x = stimulus[i]! - level;
    const y = output[i]!;
    if (!(Math.abs(x) <= reach) || Number.isNaN(y)) continue;
    n++;
    sx += x;
    sy += y;
    sxx += x * x;
    sxy += x * y;
  }
  const determinant = n * sxx - sx * sx;
  return determinant > 1e-12 * n * n * reach * reach ? (sxx * sy - sx * sxy) / determinant : sy / n;
}

const meanOf = (curves: readonly (readonly number[])[]): number[] =>
  (curves[0] ?? []).map((_, i) => curves.reduce((sum, curve) => sum + curve[i]!, 0) / curves.length);

const spreadOf = (curves: readonly (readonly number[])[]): number[] =>
  (curves[0] ?? []).map((_, i) => {
    const values = curves.map((curve) => curve[i]!);
    return Math.max(...values) - Math.min(...values);
  });

function fromTerminalLine(x: readonly number[], y: readonly number[]): number[] {
  const [x0, x1] = [x[0]!, x.at(-1)!];
  const [y0, y1] = [y[0]!, y.at(-1)!];
  return y.map((value, i) => value - (y0 + ((y1 - y0) * (x[i]! - x0)) / (x1 - x0)));
}

/** Half the width of the narrowest strip that holds all points: its line touches one edge of their hull and a far corner. */
function smallestDeviation(x: readonly number[], y: readonly number[]): number {
  const corners = [...hull(x, y, 1), ...hull(x, y, -1)];
  let best = Infinity;
  for (const side of [hull(x, y, 1), hull(x, y, -1)])
    for (let i = 1; i < side.length; i++) {
      const [a, b] = [side[i - 1]!, side[i]!];
      const slope = (y[b]! - y[a]!) / (x[b]! - x[a]!);
      let [low, high] = [Infinity, -Infinity];
      for (const corner of corners) {
        const off = y[corner]! - slope * x[corner]!;
        low = Math.min(low, off);
        high = Math.max(high, off);
      }
      best = Math.min(best, (high - low) / 2);
    }
  return best;
}

/** Upper (1) or lower (−1) hull of points whose x rises. */
function hull(x: readonly number[], y: readonly number[], side: 1 | -1): number[] {
  const corners: number[] = [];
  for (let i = 0; i < x.length; i++) {
    while (corners.length >= 2) {
      const [a, b] = [corners.at(-2)!, corners.at(-1)!];
      const turn = (x[b]! - x[a]!) * (y[i]! - y[a]!) - (y[b]! - y[a]!) * (x[i]! - x[a]!);
      if (side * turn < 0) break;
      corners.pop();
    }
    corners.push(i);
  }
  return corners;
}
