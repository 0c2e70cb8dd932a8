import { fixed, say, verbatim } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';
import { oneNumber } from './oneNumber.ts';
import type { ReadingFault } from './parseReading.ts';

/** What a meter shows that counts: how often, or for what share of the time the line is up. */
export type ParsedPulses = { form: 'frequency'; hertz: number } | { form: 'duty'; upPercent: number };

/** With one of these units a value on a wire is no voltage. */
export const PULSES_SAID = /(?:\d|\s)(?:k?hz|%|percent)(?:\s+(?:up|down|low|high))?$/iu;

const PULSES = /^(\d{1,7}(?:[.,]\d{0,6})?|[.,]\d{1,6})\s*(k?hz|%|percent)(?:\s+(up|down|low|high))?$/iu;
/** More than any meter of a workshop counts. */
export const HIGHEST_HERTZ = 200_000;

/**
 * `107 Hz`, `2,4 kHz`, `45 %`, and `45 % low` where the meter counts how long the line is down.
 *
 * Fails with `not-a-number`, with `value-out-of-range` past what there can be, and with `two-readings` where a comma may be either.
 */
export function parsePulses(text: string): Result<ParsedPulses, ReadingFault> {
  const trimmed = text.trim();
  const [, digits, unit, way] = PULSES.exec(trimmed) ?? [];
  if (digits === undefined || unit === undefined)
    return fail(
      'not-a-number',
      say('quantity.not-number', { text: verbatim(trimmed) }),
      say('quantity.type-pulses'),
    );
  const name = unit.toLowerCase();
  const [factor, highest] = name === 'khz' ? [1000, HIGHEST_HERTZ] : [1, name === 'hz' ? HIGHEST_HERTZ : 100];
  const fits = (number: number) => number * factor <= highest;
  const number = oneNumber(digits, fits);
  if (!number.ok) return number;
  if (!fits(number.value))
    return fail(
      'value-out-of-range',
      name.endsWith('hz')
        ? say('quantity.past-any-frequency', { text: verbatim(trimmed), highest: fixed(highest, 0, 'Hz') })
        : say('quantity.past-all-of-the-time', { text: verbatim(trimmed) }),
      say('quantity.check-number-unit'),
    );
  // A thousandth of a hertz, or of a percent, is less than any meter shows.
  const shown = Number((number.value * factor).toFixed(3));
  if (name.endsWith('hz')) return ok({ form: 'frequency', hertz: shown });
  const isDown = way !== undefined && /down|low/iu.test(way);
  return ok({ form: 'duty', upPercent: isDown ? Number((100 - shown).toFixed(3)) : shown });
}
