/** A moment and what a channel was then. */
export interface Moment {
  atMs: number;
  value: number | null;
}

export interface Steadiness {
  steady: boolean;
  /** Over the time looked at; undefined while there are too few values. */
  mean: number | undefined;
}

export const STEADY_MS = 1500;
/** Of the value itself, beside the last digits of its display. */
const SLACK_SHARE = 0.004;
const LEAST_VALUES = 5;

/**
 * Whether a value has stood still long enough to be written down.
 *
 * @param slack what its last digits may tremble by, in its own unit
 */
export function steadiness(moments: readonly Moment[], slack: number): Steadiness {
  const newest = moments.at(-1);
  if (!newest) return { steady: false, mean: undefined };
  const recent = moments.filter(({ atMs }) => atMs > newest.atMs - STEADY_MS);
  const values = recent.map(({ value }) => value);
  if (values.some((value) => value === null) || values.length < LEAST_VALUES)
    return { steady: false, mean: undefined };
  const numbers = values as number[];
  const mean = numbers.reduce((sum, value) => sum + value, 0) / numbers.length;
  const room = slack + SLACK_SHARE * Math.abs(mean);
  const covered = newest.atMs - (moments[0]?.atMs ?? newest.atMs) >= STEADY_MS;
  return { steady: covered && numbers.every((value) => Math.abs(value - mean) <= room), mean };
}
