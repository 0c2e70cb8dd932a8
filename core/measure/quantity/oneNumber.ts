import { plain, say, verbatim } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';

/** One to three digits, a mark and three digits: a decimal in one place of the world, thousands in another. */
const TWO_WAYS = /^([1-9]\d{0,2})[.,](\d{3})$/u;

/**
 * The number that digits with a decimal point or comma stand for. `1,300` can be read two ways: where the place takes
 * both, it is asked; where it takes one of them, that one is meant.
 *
 * @param fits whether a number can be what this place holds
 * Fails with `two-readings` where both fit.
 */
export function oneNumber(digits: string, fits: (value: number) => boolean): Result<number, 'two-readings'> {
  const decimal = Number(digits.replace(',', '.'));
  const [, before, after] = TWO_WAYS.exec(digits) ?? [];
  if (before === undefined || after === undefined) return ok(decimal);
  const whole = Number(before + after);
  if (!fits(whole)) return ok(decimal);
  if (!fits(decimal)) return ok(whole);
  return fail(
    'two-readings',
    say('quantity.can-read', {
      digits: verbatim(digits),
      decimal: plain(decimal),
      whole: plain(whole),
    }),
    say('quantity.type-without-zeros-end-without', {
      decimal: plain(decimal),
      whole: plain(whole),
    }),
  );
}
