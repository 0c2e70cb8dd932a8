import type { Expectation } from './expectation.ts';

/**
 * Where a value stands against what was expected of it; `at-the-edge`: outside by less than its meter can tell; `beside-the-rule`:
 * outside a rule of thumb that sound machines are outside of as well.
 */
export type Fit = 'as-expected' | 'at-the-edge' | 'beside-the-rule' | 'below' | 'above';

/** What is shown as inside is inside: half of the last digit that the band is written with. */
const ROUNDING_VOLTS = 0.005;
/** A band of millivolts is written in whole ones. */
const MILLIVOLT_BAND_VOLTS = 0.6;

/**
 * A value against its band, both in the unit of the band.
 *
 * @param doubt what the value may be off by, in the same unit
 */
export function fitOf(
  value: number,
  { lowest, highest, of, atMost }: Pick<Expectation, 'lowest' | 'highest' | 'atMost'> & { of?: string },
  doubt = 0,
): Fit {
  const slack = of !== 'volts' ? 0 : highest < MILLIVOLT_BAND_VOLTS ? ROUNDING_VOLTS / 10 : ROUNDING_VOLTS;
  if (value >= lowest - slack && value <= highest + slack) return 'as-expected';
  if (value >= lowest - doubt && value <= highest + doubt) return 'at-the-edge';
  if (atMost && value >= atMost[0] && value <= atMost[1]) return 'beside-the-rule';
  return value < lowest ? 'below' : 'above';
}

/** Off by more than its meter can tell. */
export const isOffBand = (fit: Fit | undefined): boolean => fit === 'below' || fit === 'above';
