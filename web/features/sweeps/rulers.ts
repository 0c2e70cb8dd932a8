/** Moments in seconds at which the channels are read off: none, one, or two, A and B. */
export type Rulers = readonly number[];
/** Rulers as they lie, and how to lay them anew. */
export type LaidRulers = readonly [Rulers, (rulers: Rulers) => void];

export const RULER_NAMES = ['A', 'B'] as const;

/** As fine as a moment is told: of a glimpse of telegrams to the microsecond. */
export const momentDecimals = (durationSeconds: number): number => (durationSeconds < 1 ? 6 : 4);

/** Where one points: the first lays A, the second B, and then the nearer of them comes along. */
export function pointed(rulers: Rulers, atSeconds: number): Rulers {
  if (rulers.length < RULER_NAMES.length) return [...rulers, atSeconds];
  const [a, b] = rulers as [number, number];
  return Math.abs(a - atSeconds) <= Math.abs(b - atSeconds) ? [atSeconds, b] : [a, atSeconds];
}

/** One of them somewhere else. B without A is A. */
export const laid = (rulers: Rulers, which: number, atSeconds: number): Rulers =>
  which < rulers.length ? rulers.with(which, atSeconds) : [...rulers, atSeconds];
