/** Where a value stands against what was expected of it. */
export type Fit = 'as-expected' | 'below' | 'above';

export const fitOf = (value: number, { lowest, highest }: { lowest: number; highest: number }): Fit =>
  value < lowest ? 'below' : value > highest ? 'above' : 'as-expected';

export const FIT_SIGNS: Record<Fit, string> = { 'as-expected': '✓', below: '▼', above: '▲' };
export const FIT_WORDS: Record<Fit, string> = {
  'as-expected': 'as expected',
  below: 'below what is expected',
  above: 'above what is expected',
};
export const fitInWords = (fit: Fit): string => `${FIT_SIGNS[fit]} ${FIT_WORDS[fit]}`;
