import { strokesOf } from './strokes.ts';
import { LEVELS, outputAt, meanOf, spreadOf, fromTerminalLine, smallestDeviation } from './deviations.ts';

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
