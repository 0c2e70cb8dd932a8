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
  const differences: number[] = [];
  for (let i = 2; i < values.length; i += stride) {
    const difference = Math.abs(values[i]! - 2 * values[i - 1]! + values[i - 2]!);
    if (!Number.isNaN(difference)) differences.push(difference);
  }
  if (differences.length === 0) return 0;
  const sorted = Float64Array.from(differences).sort();
  return (MEDIAN_TO_SIGMA * sorted[sorted.length >> 1]!) / SECOND_DIFFERENCE;
}

/** Samples over which a scatter is one scatter. */
const WINDOW = 256;
/** Fewer have no scatter to speak of. */
const LEAST_WINDOW = 32;

/**
 * The scatter around each stretch of a signal: a noisy half is noisy, and says nothing of the quiet one.
 *
 * @returns by window of `samples` samples, the last one longer
 */
export function localNoise(values: Float64Array): {
  samples: number;
  at: (sample: number) => number;
  windows: Float64Array;
} {
  const count = Math.max(1, Math.floor(values.length / WINDOW));
  const samples = count === 1 ? Math.max(values.length, LEAST_WINDOW) : WINDOW;
  const windows = Float64Array.from({ length: count }, (_, i) =>
    noiseOf(values.subarray(i * samples, i === count - 1 ? values.length : (i + 1) * samples)),
  );
  return { samples, windows, at: (sample) => windows[Math.min(count - 1, Math.floor(sample / samples))]! };
}
