/** So often is more than anybody counts. */
const MOST_COUNTED = 1000;

/** A factor as one says it: `2.4 times`, `170 times`, `more than 1,000 times`. */
export function timesInWords(factor: number): string {
  if (!(factor <= MOST_COUNTED)) return 'more than 1,000 times';
  return `${factor.toLocaleString('en-GB', { maximumSignificantDigits: 2 })} times`;
}
