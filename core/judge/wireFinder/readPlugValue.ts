import { fail, ok, type Result } from '../../measure/problem/index.ts';
import { parseOhms, parseReading } from '../../measure/quantity/index.ts';
import type { PlugTest } from './plugTest.ts';

/** What a technician types for a measurement at a terminal: `4.98`, `12 mV`, `470k`, `OL`. Volts or ohms. */
export function readPlugValue(
  text: string,
  test: Exclude<PlugTest, 'moves' | 'fed'>,
): Result<number, string> {
  if (test === 'open-ohms') return parseOhms(text);
  const reading = parseReading(text, 'V');
  return reading.ok
    ? ok(reading.value.value)
    : fail(reading.problem.code, reading.problem.message, reading.problem.next);
}
