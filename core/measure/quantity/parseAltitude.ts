import { plain, say, verbatim } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';
import { oneNumber } from './oneNumber.ts';
import { HIGHEST_ALTITUDE_M, LOWEST_ALTITUDE_M } from './standardAtmosphere.ts';

const FOOT_M = 0.3048; // exact: NIST SP 811, B.8
const ALTITUDE = /^([+\-−]?)\s*(\d{1,6}(?:[.,]\d{0,3})?)\s*(m|metres?|meters?|ft|feet|foot|′|')?$/iu;

/**
 * An altitude as people say it: `1200`, `1200 m`, `4,265 ft`, `-3`.
 *
 * @returns metres above sea level
 */
export function parseAltitude(
  text: string,
): Result<number, 'not-a-number' | 'two-readings' | 'altitude-out-of-range'> {
  const trimmed = text.trim();
  const [, sign, digits, unit] = ALTITUDE.exec(trimmed) ?? [];
  if (digits === undefined) {
    return fail(
      'not-a-number',
      trimmed === ''
        ? say('quantity.there-no-altitude-yet')
        : say('quantity.not-altitude', { text: verbatim(trimmed) }),
      say('quantity.enter-metres-feet-above-sea'),
    );
  }
  const metresEach = unit && !/^m/iu.test(unit) ? FOOT_M : 1;
  const inMetres = (given: number) => (sign === '-' || sign === '−' ? -given : given) * metresEach;
  const isOnLand = (given: number) =>
    inMetres(given) >= LOWEST_ALTITUDE_M && inMetres(given) <= HIGHEST_ALTITUDE_M;
  const number = oneNumber(digits, isOnLand);
  if (!number.ok) return number;
  if (!isOnLand(number.value)) {
    return fail(
      'altitude-out-of-range',
      say('quantity.altitude-m-outside-m', {
        altitude: plain(Math.round(inMetres(number.value)), 'm'),
        lowest: plain(LOWEST_ALTITUDE_M),
        highest: plain(HIGHEST_ALTITUDE_M, 'm'),
      }),
      say('quantity.enter-altitude-above-sea-level-metres'),
    );
  }
  return ok(inMetres(number.value));
}
