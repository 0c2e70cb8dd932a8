/*
 * A trouble code in two bytes: ISO 15031-6 / SAE J2012, from memory. Two bits for the system, two for the first digit, three
 * hexadecimal digits.
 */

const SYSTEMS = ['P', 'C', 'B', 'U'] as const;

/** `P0107` for 01 07. */
export const codeFromBytes = (high: number, low: number): string =>
  `${SYSTEMS[high >> 6]!}${(high >> 4) & 3}${(high & 0xf).toString(16).toUpperCase()}${low.toString(16).toUpperCase().padStart(2, '0')}`;

/** 01 07 for `P0107`; undefined where it is no such code. */
export function codeToBytes(code: string): [high: number, low: number] | undefined {
  const [, system = '', digit, rest = ''] = /^([PCBU])([0-3])([0-9A-F]{3})$/u.exec(code) ?? [];
  if (digit === undefined) return undefined;
  const number = Number.parseInt(rest, 16);
  return [
    (SYSTEMS.indexOf(system as (typeof SYSTEMS)[number]) << 6) | (Number(digit) << 4) | (number >> 8),
    number & 0xff,
  ];
}
