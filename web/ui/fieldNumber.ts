import { plain, say, verbatim } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import { oneNumber } from '@lettura/core/measure/quantity';

export interface Limits {
  lowest: number;
  highest: number;
  unit: string;
}

const NUMBER = /^[+\-−]?(\d{1,9}([.,]\d{0,9})?|[.,]\d{1,9})$/u;

/** A number typed into a calculator, decimal comma or point, inside what makes sense there. */
export function fieldNumber(
  text: string,
  { lowest, highest, unit }: Limits,
): Result<number, 'not-a-number' | 'two-readings' | 'out-of-range'> {
  const trimmed = text.trim();
  const range = say('app.enter-number', {
    lowest: plain(lowest),
    highest: plain(highest),
    unit: verbatim(unit),
    hasUnit: unit !== '',
  });
  if (!NUMBER.test(trimmed)) {
    return fail(
      'not-a-number',
      trimmed === '' ? say('app.there-no-value-yet') : say('app.not-number', { text: verbatim(trimmed) }),
      range,
    );
  }
  const [, sign = '', digits = ''] = /^([+\-−]?)(.*)$/u.exec(trimmed) ?? [];
  const signOf = (size: number) => (sign === '-' || sign === '−' ? -size : size);
  const size = oneNumber(digits, (one) => signOf(one) >= lowest && signOf(one) <= highest);
  if (!size.ok) return size;
  const value = signOf(size.value);
  if (value < lowest || value > highest)
    return fail('out-of-range', say('app.outside-range', { text: verbatim(trimmed) }), range);
  return ok(value);
}
