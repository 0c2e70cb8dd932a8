import type { Envelope } from './minMaxPyramid.ts';

/**
 * One recording less another, column by column: between the least and the most that it can be there, since a column may stand for
 * many samples. NaN where either has none.
 */
export const differenceOf = (one: Envelope, other: Envelope): Envelope => ({
  lowest: one.lowest.map((lowest, column) => lowest - (other.highest[column] ?? NaN)),
  highest: one.highest.map((highest, column) => highest - (other.lowest[column] ?? NaN)),
});
