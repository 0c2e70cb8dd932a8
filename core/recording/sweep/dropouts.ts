import { blocksOf } from './blocks.ts';
import { localNoise, QUIET_VOLTS } from './noise.ts';
import type { Recording } from './recording.ts';

/** A signal that leaves its course at once and comes back to it. */
export interface Dropout {
  /** The first sample outside, and the first that is back. */
  from: number;
  to: number;
  fromSeconds: number;
  untilSeconds: number;
  /** Where the signal would have been, and how far it went from there at most. */
  courseValue: number;
  farthestValue: number;
}

/** Longer than this is a change, not a dropout. */
const LONGEST_SECONDS = 2;
/** Below and above these only a lost signal goes. */
const RAILS_VOLTS = [0.3, 4.7] as const;
/** No hand and no engine moves a sensor away and back in less. */
const QUICKEST_TRAVEL_SECONDS = 0.12;
/** Nor so fast, there as well as back: over its whole range in less than a tenth of a second. From memory of snapped throttles. */
export const FASTEST_TRAVEL_VOLTS_A_SECOND = 60;
/** A jump is this many times the scatter: in hours of samples noise alone does not get there. */
const NOISE_FACTOR = 8;
/** Less than this, 2 % of 5 V, is no dropout. */
const LEAST_JUMP_VOLTS = NOISE_FACTOR * QUIET_VOLTS;
/** A jump stands out from the steps beside it; travel comes in steps that are all alike. */
const NEIGHBOUR_SHARE = 0.4;
/** The way back ends near where it began, travel meanwhile included. */
const COURSE_SHARE = 0.35;

/**
 * Every excursion of a signal: a jump away from its course and a jump back. Travel, however fast, is no jump as long as it
 * takes three samples or more.
 */
export function dropouts({ seconds }: Pick<Recording, 'seconds'>, values: Float64Array): Dropout[] {
  const noise = localNoise(values);
  const thresholds = noise.windows.map((_, window) => {
    // A window's edge may lie where the scatter begins: its neighbours count.
    const around = noise.windows.subarray(Math.max(0, window - 1), window + 2);
    return Math.max(LEAST_JUMP_VOLTS, NOISE_FACTOR * around.reduce((a, b) => Math.max(a, b), 0));
  });
  const { samples, lowest, highest } = blocksOf(values);
  const found: Dropout[] = [];
  for (let i = 1; i < values.length; i++) {
    // Below half of the least threshold nothing jumps, whatever the scatter there.
    if (i % samples === 1) {
      const block = (i - 1) / samples;
      if (highest[block]! - lowest[block]! <= LEAST_JUMP_VOLTS / 2) {
        i += samples - 2;
        continue;
      }
    }
    if (!(Math.abs(values[i]! - values[i - 1]!) > LEAST_JUMP_VOLTS / 2)) continue;
    const threshold = thresholds[Math.min(thresholds.length - 1, Math.floor(i / noise.samples))]!;
    const out = jumpAt(values, i, threshold);
    if (out === undefined) continue;
    const end = wayBack(seconds, values, i, out, threshold);
    if (end === undefined) continue;
    const dropout = dropoutBetween(seconds, values, i, end);
    const mayBeTravel = dropout.untilSeconds - dropout.fromSeconds > QUICKEST_TRAVEL_SECONDS;
    if (mayBeTravel && !isAtRail(dropout) && !leapsBothWays(seconds, values, dropout)) continue;
    found.push(dropout);
    i = end;
  }
  return found;
}

const isAtRail = ({ farthestValue }: Dropout): boolean =>
  farthestValue < RAILS_VOLTS[0] || farthestValue > RAILS_VOLTS[1];

/** A dead spot that the unit's pull holds off the rails lasts as long as the hand takes over it, but nothing moves there so fast. */
function leapsBothWays(seconds: Float64Array, values: Float64Array, { from, to }: Dropout): boolean {
  const speed = (at: number) => Math.abs(values[at]! - values[at - 1]!) / (seconds[at]! - seconds[at - 1]!);
  const fastest = (at: number, and: number) => Math.max(speed(at), speed(and));
  return (
    fastest(from, from + 1) > FASTEST_TRAVEL_VOLTS_A_SECOND &&
    fastest(to - 1, to) > FASTEST_TRAVEL_VOLTS_A_SECOND
  );
}

/** The signed size of a jump that ends at a sample, or that spreads over it and the next. */
function jumpAt(values: Float64Array, i: number, threshold: number): number | undefined {
  const step = values[i]! - values[i - 1]!;
  if (!(Math.abs(step) > threshold / 2)) return undefined;
  const next = (values[i + 1] ?? values[i]!) - values[i]!;
  const two = Math.sign(next) === Math.sign(step) ? step + next : step;
  const size = Math.abs(step) > threshold ? step : two;
  if (!(Math.abs(size) > threshold)) return undefined;
  const before = Math.abs((values[i - 1] ?? NaN) - (values[i - 2] ?? values[i - 1] ?? NaN));
  const afterAt = size === two && size !== step ? i + 1 : i;
  const after = Math.abs((values[afterAt + 1] ?? values[afterAt]!) - values[afterAt]!);
  const alike = NEIGHBOUR_SHARE * Math.abs(size);
  // The way back may follow at once: a step of the other sign is no travel.
  const afterIsBack = Math.sign((values[afterAt + 1] ?? NaN) - values[afterAt]!) === -Math.sign(size);
  return before < alike && (after < alike || afterIsBack) ? size : undefined;
}

function wayBack(
  seconds: Float64Array,
  values: Float64Array,
  start: number,
  out: number,
  threshold: number,
): number | undefined {
  const course = values[start - 1]!;
  const latest = seconds[start]! + LONGEST_SECONDS;
  for (let j = start + 1; j < values.length && seconds[j]! <= latest; j++) {
    const step = values[j]! - values[j - 1]!;
    if (Math.sign(step) !== -Math.sign(out) || Math.abs(step) < threshold / 2) continue;
    const farthest = values[j - 1]!;
    const near = Math.max(2 * threshold, COURSE_SHARE * Math.abs(farthest - course));
    for (const end of [j, j + 1]) {
      if (!(Math.abs((values[end] ?? NaN) - course) < near)) continue;
      // What goes on moving as fast as it came is travel.
      const onward = Math.abs((values[end + 1] ?? values[end]!) - values[end]!);
      if (onward < NEIGHBOUR_SHARE * Math.abs(out)) return end;
    }
  }
  return undefined;
}

function dropoutBetween(seconds: Float64Array, values: Float64Array, from: number, to: number): Dropout {
  const courseValue = (values[from - 1]! + values[to]!) / 2;
  let farthestValue = values[from]!;
  for (let i = from; i < to; i++)
    if (Math.abs(values[i]! - courseValue) > Math.abs(farthestValue - courseValue))
      farthestValue = values[i]!;
  return { from, to, fromSeconds: seconds[from]!, untilSeconds: seconds[to]!, courseValue, farthestValue };
}
