/** One reading of a point on a machine that was proven good. */
export interface ProvenValue {
  jobId: string;
  value: number;
}

/** What a workshop has read at one point of one sensor in one state, on machines that were proven good. */
export interface KnownGood {
  jobs: number;
  readings: number;
  median: number;
  /** Whether nine machines in ten lie between these; else they are the least and the most that was read on any. */
  isSpread: boolean;
  lowest: number;
  highest: number;
  /** Jobs whose value lies so far off that it does not count for the band. */
  leftOut: readonly string[];
}

/** With fewer jobs a spread is not known: what was read stands as it is. */
const FEWEST_FOR_SPREAD = 8;
/** Of a normal spread, nine in ten lie so many standard deviations around the middle. */
const NINE_IN_TEN = 1.645;
/** Farther from the middle than this, in standard deviations as the median distance gives them, is of something else. */
const FAR = 3.5;
const MEDIAN_DISTANCE_OF_NORMAL = 0.6745;

/**
 * A job counts once, with the median of its readings: who reads ten times knows no more machines. One bad job, or one in
 * twenty, moves the band little.
 *
 * @returns undefined where nothing was read
 */
export function knownGoodOf(values: readonly ProvenValue[]): KnownGood | undefined {
  const byJob = new Map<string, number[]>();
  for (const { jobId, value } of values) byJob.set(jobId, [...(byJob.get(jobId) ?? []), value]);
  if (byJob.size === 0) return undefined;
  const ofJobs = [...byJob].map(([jobId, read]) => ({ jobId, value: medianOf(read) }));
  const median = medianOf(ofJobs.map(({ value }) => value));
  const told = { jobs: byJob.size, readings: values.length, median };
  if (ofJobs.length < FEWEST_FOR_SPREAD) {
    const all = ofJobs.map(({ value }) => value);
    return { ...told, isSpread: false, lowest: Math.min(...all), highest: Math.max(...all), leftOut: [] };
  }
  const sigma = medianOf(ofJobs.map(({ value }) => Math.abs(value - median))) / MEDIAN_DISTANCE_OF_NORMAL;
  const isFar = ({ value }: ProvenValue) => sigma > 0 && Math.abs(value - median) > FAR * sigma;
  const near = ofJobs.filter((one) => !isFar(one)).map(({ value }) => value);
  const mean = near.reduce((sum, value) => sum + value, 0) / near.length;
  const spread = Math.sqrt(near.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (near.length - 1));
  return {
    ...told,
    isSpread: true,
    lowest: mean - NINE_IN_TEN * spread,
    highest: mean + NINE_IN_TEN * spread,
    leftOut: ofJobs.filter(isFar).map(({ jobId }) => jobId),
  };
}

function medianOf(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
