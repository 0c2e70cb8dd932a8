import { noiseOf } from './noise.ts';

/** How a signal answers to a step. */
export interface StepResponse {
  /** Where it begins to move. */
  fromSeconds: number;
  initial: number;
  final: number;
  /** From the beginning until 63.2 % and 90 % of the way. */
  secondsTo63: number;
  secondsTo90: number;
  /** How far it went past its new level, in per cent of the step; 0 where it did not beyond its scatter. */
  overshootPercent: number;
}

const SETTLED_SHARE = 0.1;
/** What moves by more than this share of the step over its end is still on its way. */
const STANDING_SHARE = 0.03;
const NOISE_FACTOR = 6;
const LEAST_STEP = 0.3;

/** The response to the largest step of a signal that stands before and after; undefined where there is none. */
export function stepResponse(
  seconds: Float64Array,
  values: Float64Array,
  leastStep = LEAST_STEP,
): StepResponse | undefined {
  const n = values.length;
  if (n < 10) return undefined;
  const ends = Math.max(3, Math.floor(n * SETTLED_SHARE));
  const mean = (from: number, to: number) => {
    let sum = 0;
    for (let i = from; i < to; i++) sum += values[i]!;
    return sum / (to - from);
  };
  const initial = mean(0, ends);
  const final = mean(n - ends, n);
  const size = final - initial;
  if (!(Math.abs(size) >= leastStep)) return undefined;
  // A ramp is no step: it must stand at both ends.
  if (!stands(values, 0, ends, size) || !stands(values, n - ends, n, size)) return undefined;
  const share = (i: number) => (values[i]! - initial) / size;
  const onset = Math.max(0.02, (NOISE_FACTOR * noiseOf(values)) / Math.abs(size));
  const crossing = (wanted: number): number => {
    const i = values.findIndex((_, at) => share(at) >= wanted);
    if (i <= 0) return seconds[Math.max(0, i)]!;
    const [a, b] = [share(i - 1), share(i)];
    return seconds[i - 1]! + ((wanted - a) / (b - a)) * (seconds[i]! - seconds[i - 1]!);
  };
  // From the last moment at rest; the onset itself lies a little later, by the slope there.
  const began = values.findIndex((_, at) => share(at) > onset);
  const fromSeconds = seconds[Math.max(0, began - 1)]!;
  return {
    fromSeconds,
    initial,
    final,
    secondsTo63: crossing(1 - Math.exp(-1)) - fromSeconds,
    secondsTo90: crossing(0.9) - fromSeconds,
    overshootPercent: overshoot(values, share, onset),
  };
}

function overshoot(values: Float64Array, share: (i: number) => number, scatter: number): number {
  let past = 0;
  for (let i = 0; i < values.length; i++) past = Math.max(past, share(i) - 1);
  return past > scatter ? 100 * past : 0;
}

/** Half of an end against the other half: whatever it trembles by, it does not go on. */
function stands(values: Float64Array, from: number, to: number, size: number): boolean {
  const middle = (from + to) >> 1;
  const mean = (first: number, last: number) => {
    let sum = 0;
    for (let i = first; i < last; i++) sum += values[i]!;
    return sum / Math.max(1, last - first);
  };
  return Math.abs(mean(middle, to) - mean(from, middle)) <= STANDING_SHARE * Math.abs(size);
}
