/** A moment and what a channel was then. */
export interface Moment {
  atMs: number;
  volts: number | null;
}

export interface Steadiness {
  steady: boolean;
  /** Over the time looked at; undefined while there are too few values. */
  mean: number | undefined;
}

export const STEADY_MS = 1500;
/** Beside the last digits of a meter. */
const SLACK_VOLTS = 0.01;
const SLACK_SHARE = 0.004;
const LEAST_VALUES = 5;

/** Whether a value has stood still long enough to be written down. */
export function steadiness(moments: readonly Moment[]): Steadiness {
  const newest = moments.at(-1);
  if (!newest) return { steady: false, mean: undefined };
  const recent = moments.filter(({ atMs }) => atMs > newest.atMs - STEADY_MS);
  const values = recent.map(({ volts }) => volts);
  if (values.some((volts) => volts === null) || values.length < LEAST_VALUES)
    return { steady: false, mean: undefined };
  const numbers = values as number[];
  const mean = numbers.reduce((sum, volts) => sum + volts, 0) / numbers.length;
  const slack = SLACK_VOLTS + SLACK_SHARE * Math.abs(mean);
  const covered = newest.atMs - (moments[0]?.atMs ?? newest.atMs) >= STEADY_MS;
  return { steady: covered && numbers.every((volts) => Math.abs(volts - mean) <= slack), mean };
}
