/** Of a normal distribution: the median of absolute values is this share of its standard deviation. */
const MEDIAN_TO_SIGMA = 1.4826;
/** Enough to know a scatter by; a median of millions says no more. */
const MOST_SAMPLES = 20_000;

/** A second difference adds one sample twice and two once: 4 + 1 + 1 times the variance of one. */
const SECOND_DIFFERENCE = Math.sqrt(6);

/**
 * The scatter of a signal from one sample to the next, in its own unit: by the median of its second differences, so that
 * neither travel at any steady speed nor dropouts count.
 */
export function noiseOf(values: Float64Array): number {
  const stride = Math.max(1, Math.floor(values.length / MOST_SAMPLES));
  let found = 0;
  for (let i = 2; i < values.length; i += stride) {
    const difference = Math.abs(values[i]! - 2 * values[i - 1]! + values[i - 2]!);
    if (difference >= 0) scratch[found++] = difference; // not where a sample is no number
  }
  return found === 0 ? 0 : (MEDIAN_TO_SIGMA * upperMedian(scratch, found)) / SECOND_DIFFERENCE;
}

/** One memory for all differences: a long recording is looked at some thousand windows at a time. */
const scratch = new Float64Array(2 * MOST_SAMPLES + 2);

/** The number in the middle of the first `count`, which change places: Hoare's selection of 1961, without a full sort. */
function upperMedian(numbers: Float64Array, count: number): number {
  const wanted = count >> 1;
  let left = 0;
  let right = count - 1;
  while (left < right) {
    const pivot = numbers[(left + right) >> 1]!;
    let i = left;
    let j = right;
    while (i <= j) {
      while (numbers[i]! < pivot) i++;
      while (numbers[j]! > pivot) j--;
      if (i > j) break;
      const swapped = numbers[i]!;
      numbers[i++] = numbers[j]!;
      numbers[j--] = swapped;
    }
    if (wanted <= j) right = j;
    else if (wanted >= i) left = i;
    else break;
  }
  return numbers[wanted]!;
}

/** Samples over which a scatter is one scatter. */
const WINDOW = 256;
/** Fewer have no scatter to speak of. */
const LEAST_WINDOW = 32;
/** A scatter up to here hides no jump and is worth no word: how small it is exactly is not worked out. */
export const QUIET_VOLTS = 0.0125;

export interface LocalNoise {
  samples: number;
  at: (sample: number) => number;
  windows: Float64Array;
}

const known = new WeakMap<Float64Array, LocalNoise>();

/**
 * The scatter around each stretch of a signal: a noisy half is noisy, and says nothing of the quiet one. Worked out once
 * for a channel, which does not change.
 *
 * @returns by window of `samples` samples, the last one longer; 0 where it is quiet
 */
export function localNoise(values: Float64Array): LocalNoise {
  const before = known.get(values);
  if (before) return before;
  const count = Math.max(1, Math.floor(values.length / WINDOW));
  const samples = count === 1 ? Math.max(values.length, LEAST_WINDOW) : WINDOW;
  const windows = new Float64Array(count);
  for (let i = 0; i < count; i++) {
    const [from, to] = [i * samples, i === count - 1 ? values.length : (i + 1) * samples];
    if (!isQuiet(values, from, to)) windows[i] = noiseOf(values.subarray(from, to));
  }
  const found = {
    samples,
    windows,
    at: (sample: number) => windows[Math.min(count - 1, Math.floor(sample / samples))]!,
  };
  known.set(values, found);
  return found;
}

/** Whether more than half of the second differences lie within what a quiet scatter makes: their median does then. */
function isQuiet(values: Float64Array, from: number, to: number): boolean {
  const most = (QUIET_VOLTS * SECOND_DIFFERENCE) / MEDIAN_TO_SIGMA;
  let [within, beyond] = [0, 0];
  let [before, last] = [values[from]!, values[from + 1]!];
  for (let i = from + 2; i < to; i++) {
    const value = values[i]!;
    const difference = Math.abs(value - 2 * last + before);
    if (difference <= most) within++;
    else if (difference > most) beyond++;
    before = last;
    last = value;
  }
  return within > beyond;
}
