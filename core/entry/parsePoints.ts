import { fail, ok, type Result } from '../problem/index.ts';
import { toKpa, type PressureUnit } from '../quantity/index.ts';
import type { LinePoint } from '../transfer/index.ts';

const MOST_POINTS = 500;
const NUMBER = /^[+\-−]?(\d{1,6}([.,]\d{0,6})?|[.,]\d{1,6})$/u;

/**
 * Points as they are typed or pasted, one a line: pressure, then volts. Columns are split by spaces, tabs, semicolons or
 * bars, so that a decimal comma stays whole; empty lines and lines that start with # are passed over.
 *
 * @param unit of the pressure column, absolute
 * Fails with the number of the first line that cannot be read.
 */
export function parsePoints(
  text: string,
  unit: PressureUnit,
): Result<LinePoint[], 'bad-line' | 'too-many-points'> {
  const points: LinePoint[] = [];
  for (const [i, line] of text.split(/\r?\n/u).entries()) {
    const trimmed = line.trim();
    if (trimmed === '' || trimmed.startsWith('#')) continue;
    const columns = trimmed.split(/[\s;|]+/u).filter(Boolean);
    const [pressure, volts] = columns;
    if (columns.length !== 2 || !pressure || !volts || !NUMBER.test(pressure) || !NUMBER.test(volts)) {
      return fail(
        'bad-line',
        `Line ${i + 1}, “${trimmed.slice(0, 40)}”, is not a pressure and a voltage.`,
        `Write the pressure in ${unit}, a space, and the volts, for example: 60 1.95.`,
      );
    }
    points.push({ kpaAbs: toKpa(numberOf(pressure), unit), volts: numberOf(volts) });
    if (points.length > MOST_POINTS) {
      return fail(
        'too-many-points',
        `There are more than ${MOST_POINTS} points.`,
        'Leave out points that lie close together.',
      );
    }
  }
  return ok(points);
}

const numberOf = (text: string): number => Number(text.replace('−', '-').replace(',', '.'));
