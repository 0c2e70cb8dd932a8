/** With or without a nibble of zeros behind the data: the form that SAE J2716 recommends since 2010, and the one before it. */
export const CHECKSUM_FORMS = ['recommended', 'legacy'] as const;
export type ChecksumForm = (typeof CHECKSUM_FORMS)[number];

/** What each nibble becomes once it is shifted through x⁴ + x³ + x² + 1 (SAE J2716, from memory). */
const SHIFTED = [0, 13, 7, 10, 14, 3, 9, 4, 1, 12, 6, 11, 15, 2, 8, 5] as const;
const SEED_4 = 5;

/**
 * The checksum of SAE J2716 over `count` nibbles (0 to 15 each) from `from` on.
 *
 * @returns 0 to 15
 */
export function checksum4(
  nibbles: ArrayLike<number>,
  from: number,
  count: number,
  form: ChecksumForm,
): number {
  let sum: number = SEED_4;
  for (let i = from; i < from + count; i++) sum = SHIFTED[sum]! ^ nibbles[i]!;
  return form === 'recommended' ? SHIFTED[sum]! : sum;
}

/** x⁶ + x⁴ + x³ + 1, and where it begins (SAE J2716, from memory). */
const POLYNOMIAL_6 = 0b1011001;
const SEED_6 = 0b010101;
const WIDTH_6 = 6;

/** The checksum of an enhanced serial message over its bits, the first one first; 0 to 63. */
export function checksum6(bits: readonly number[]): number {
  let sum = SEED_6;
  for (const bit of [...bits, ...new Array<number>(WIDTH_6).fill(0)]) {
    sum = (sum << 1) | bit;
    if (sum & (1 << WIDTH_6)) sum ^= POLYNOMIAL_6;
  }
  return sum;
}
