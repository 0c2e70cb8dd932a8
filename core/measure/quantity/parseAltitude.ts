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
      trimmed === '' ? 'There is no altitude yet.' : `“${trimmed}” is not an altitude.`,
      'Enter metres or feet above sea level, for example 1200 or 3900 ft.',
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
      `An altitude of ${Math.round(inMetres(number.value))} m is outside ${LOWEST_ALTITUDE_M} to ${HIGHEST_ALTITUDE_M} m.`,
      'Enter the altitude above sea level, in metres or feet.',
    );
  }
  return ok(inMetres(number.value));
}
