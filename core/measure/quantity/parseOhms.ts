import { say, verbatim } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';

const OHMS = /^(\d{1,7}(?:[.,]\d{0,6})?)\s*(k|kΩ|kohm|M|MΩ|Mohm|Ω|ohm|ohms|R)?$/iu;
const OVER_RANGE = /^[o0]\.?l\.?$/iu;

/**
 * A resistance as a technician says it: `4.8`, `4,8 Ω`, `470k`, `2M`, `OL`.
 *
 * @returns ohms, Infinity for OL
 */
export function parseOhms(text: string): Result<number, 'not-ohms'> {
  const trimmed = text.trim();
  if (OVER_RANGE.test(trimmed)) return ok(Infinity);
  const [, digits, unit = ''] = OHMS.exec(trimmed.replaceAll('\u2126', 'Ω')) ?? [];
  if (digits === undefined)
    return fail(
      'not-ohms',
      trimmed === ''
        ? say('quantity.there-no-value-yet')
        : say('quantity.not-resistance', { text: verbatim(trimmed) }),
      say('quantity.type-ohms-shown-1-8'),
    );
  // A small m would be milliohms, which no hand-held meter shows here: M is always mega.
  const factor = /^k/iu.test(unit) ? 1e3 : /^m/iu.test(unit) ? 1e6 : 1;
  return ok(Number(digits.replace(',', '.')) * factor);
}
