import { fail, ok, type Result } from '../../measure/problem/index.ts';
import {
  fromShown,
  isPressure,
  shownUnit,
  type Measurand,
  type PressureUnit,
} from '../../measure/quantity/index.ts';
import type { CurvePoint } from '../../measure/transfer/index.ts';

const MOST_POINTS = 10_000;
const NUMBER = /^[+\-−]?(\d{1,6}([.,]\d{0,9})?|[.,]\d{1,9})$/u;

/**
 * Points as they are typed or pasted, one a line: value, then volts. Columns are split by spaces, tabs, semicolons or
 * bars, so that a decimal comma stays whole; empty lines and lines that start with # are passed over.
 *
 * @param measures what the first column is; a pressure is in `pressureUnit`
 * Fails with the number of the first line that cannot be read, and where decimal signs are mixed.
 */
export function parsePoints(
  text: string,
  measures: Measurand,
  pressureUnit: PressureUnit,
): Result<CurvePoint[], 'bad-line' | 'mixed-decimals' | 'too-many-points'> {
  let decimal: { sign: string; line: number } | undefined;
  const unit = shownUnit(measures, pressureUnit);
  const noun = isPressure(measures) ? 'a pressure' : 'a value';
  const points: CurvePoint[] = [];
  for (const [i, line] of text.split(/\r?\n/u).entries()) {
    const trimmed = line.trim();
    if (trimmed === '' || trimmed.startsWith('#')) continue;
    const columns = trimmed.split(/[\s;|]+/u).filter(Boolean);
    const [value, volts] = columns;
    if (columns.length !== 2 || !value || !volts || !NUMBER.test(value) || !NUMBER.test(volts)) {
      return fail(
        'bad-line',
        `Line ${i + 1}, “${trimmed.slice(0, 40)}”, is not ${noun} and a voltage.`,
        `Write ${noun} in ${unit}, a space, and the volts, for example: 60 1.95.`,
      );
    }
    for (const sign of `${value}${volts}`.match(/[.,]/gu) ?? []) {
      decimal ??= { sign, line: i + 1 };
      if (decimal.sign !== sign) return mixed(decimal, { sign, line: i + 1 });
    }
    points.push({ value: fromShown(numberOf(value), measures, pressureUnit), volts: numberOf(volts) });
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

/** “1,234” beside “1.95” may be a thousand or a little more than one: nobody guesses. */
function mixed(first: { sign: string; line: number }, second: { sign: string; line: number }) {
  const said = ({ sign }: { sign: string }) => (sign === ',' ? 'a decimal comma' : 'a decimal point');
  return fail(
    'mixed-decimals',
    `Line ${second.line} has ${said(second)} where line ${first.line} has ${said(first)}.`,
    'Use one decimal sign throughout.',
  );
}

const numberOf = (text: string): number => Number(text.replace('−', '-').replace(',', '.'));
