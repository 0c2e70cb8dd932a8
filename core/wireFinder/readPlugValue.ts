import { fail, ok, type Result } from '../problem/index.ts';
import { parseReading } from '../quantity/index.ts';
import type { PlugTest } from './plugTest.ts';

const OHMS = /^(\d{1,7}(?:[.,]\d{0,6})?)\s*(k|kΩ|kohm|M|MΩ|Mohm|Ω|ohm|ohms|R)?$/iu;
const OVER_RANGE = /^[o0]\.?l\.?$/iu;

/** What a technician types for a measurement at a terminal: `4.98`, `12 mV`, `470k`, `OL`. Volts or ohms. */
export function readPlugValue(text: string, test: Exclude<PlugTest, 'moves'>): Result<number, 'not-a-value'> {
  if (test === 'open-ohms') {
    if (OVER_RANGE.test(text.trim())) return ok(Infinity);
    const [, digits, unit = ''] = OHMS.exec(text.trim()) ?? [];
    if (digits === undefined)
      return fail(
        'not-a-value',
        `“${text.trim()}” is not a resistance.`,
        'Type ohms as shown: 1.8, 470k, 2M or OL.',
      );
    // A small m would be milliohms, which no hand-held meter shows here: M is always mega.
    const factor = /^k/iu.test(unit) ? 1e3 : /^m/iu.test(unit) ? 1e6 : 1;
    return ok(Number(digits.replace(',', '.')) * factor);
  }
  const reading = parseReading(text, 'V');
  return reading.ok
    ? ok(reading.value.value)
    : fail('not-a-value', reading.problem.message, reading.problem.next);
}
