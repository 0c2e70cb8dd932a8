import { say, verbatim } from '../../measure/message/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';
import {
  fromShown,
  isPressure,
  shownUnit,
  type Measurand,
  type PressureUnit,
} from '../../measure/quantity/index.ts';
import type { CurvePoint } from '../../measure/transfer/index.ts';

/** What stands beside the value of a point. */
export type SecondColumn = 'volts' | 'steps' | 'hertz' | 'percent';

const MOST_POINTS = 10_000;
const NUMBER = /^[+\-−]?(\d{1,6}([.,]\d{0,9})?|[.,]\d{1,9})$/u;

/**
 * Points as they are typed or pasted, one a line: value, then volts. Columns are split by spaces, tabs, semicolons or
 * bars, so that a decimal comma stays whole; empty lines and lines that start with # are passed over.
 *
 * @param measures what the first column is; a pressure is in `pressureUnit`
 * @param second   what the second column is: steps of a telegram, hertz or percent of the time stand where volts do
 * Fails with the number of the first line that cannot be read, and where decimal signs are mixed.
 */
export function parsePoints(
  text: string,
  measures: Measurand,
  pressureUnit: PressureUnit,
  second: SecondColumn = 'volts',
): Result<CurvePoint[], 'bad-line' | 'mixed-decimals' | 'too-many-points'> {
  let decimal: { sign: string; line: number } | undefined;
  const unit = shownUnit(measures, pressureUnit);
  const isOfPressure = isPressure(measures);
  const points: CurvePoint[] = [];
  for (const [i, line] of text.split(/\r?\n/u).entries()) {
    const trimmed = line.trim();
    if (trimmed === '' || trimmed.startsWith('#')) continue;
    const columns = trimmed.split(/[\s;|]+/u).filter(Boolean);
    const [value, volts] = columns;
    if (columns.length !== 2 || !value || !volts || !NUMBER.test(value) || !NUMBER.test(volts)) {
      return fail(
        'bad-line',
        say('entry.line-not-voltage', {
          line: i + 1,
          text: verbatim(trimmed.slice(0, 40)),
          isOfPressure,
          second,
        }),
        say('entry.write-space-volts-example-60', {
          isOfPressure,
          second,
          unit: verbatim(unit),
        }),
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
        say('entry.there-more-than-points', { most: MOST_POINTS }),
        say('entry.leave-out-points-lie-close'),
      );
    }
  }
  return ok(points);
}

/** “1,234” beside “1.95” may be a thousand or a little more than one: nobody guesses. */
function mixed(first: { sign: string; line: number }, second: { sign: string; line: number }) {
  const said = ({ sign }: { sign: string }) =>
    sign === ',' ? say('entry.decimal-comma') : say('entry.decimal-point');
  return fail(
    'mixed-decimals',
    say('entry.line-where-line', {
      line: second.line,
      sign: said(second),
      firstLine: first.line,
      firstSign: said(first),
    }),
    say('entry.use-one-decimal-sign-throughout'),
  );
}

const numberOf = (text: string): number => Number(text.replace('−', '-').replace(',', '.'));
