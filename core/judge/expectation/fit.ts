/** Where a value stands against what was expected of it; `at-the-edge`: outside by less than its meter can tell. */
export type Fit = 'as-expected' | 'at-the-edge' | 'below' | 'above';

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
  { lowest, highest, of }: { lowest: number; highest: number; of?: string },
  doubt = 0,
): Fit {
  const slack = of !== 'volts' ? 0 : highest < MILLIVOLT_BAND_VOLTS ? ROUNDING_VOLTS / 10 : ROUNDING_VOLTS;
  if (value >= lowest - slack && value <= highest + slack) return 'as-expected';
  if (value >= lowest - doubt && value <= highest + doubt) return 'at-the-edge';
  return value < lowest ? 'below' : 'above';
}

/** Off by more than its meter can tell. */
export const isOffBand = (fit: Fit | undefined): boolean => fit === 'below' || fit === 'above';
