import { say } from '../../measure/message/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';

/** How moments are written in a file. */
export const TIME_FORMS = ['s', 'ms', 'µs', 'clock', 'date', 'none'] as const;
export type TimeForm = (typeof TIME_FORMS)[number];

export interface LayoutColumn {
  name: string;
  unit: string;
}

/** How a file of numbers is written: settled from its first lines, and confirmed by whoever imports it. */
export interface Layout {
  delimiter: string;
  decimal: '.' | ',';
  /** Lines before the numbers. */
  headerRows: number;
  columns: readonly LayoutColumn[];
  /** The column with the moments; undefined where there is none. */
  timeColumn: number | undefined;
  timeForm: TimeForm;
}

export type LayoutFault = 'binary' | 'empty' | 'too-many-columns' | 'no-numbers';

export const MOST_COLUMNS = 64;
const MOST_NAME_LETTERS = 60;
const TIME_NAME =
  /^(t|time|elapsed|zeit|tempo|temps|seconds?|sec|timestamp|date|clock|millis(?:econds)?)(?![\p{L}\d])/iu;
/** A unit behind the name without brackets: `Track1_V`, `pressure/kPa`, `time_ms`. */
const NAME_SLASH_UNIT = /^(.+?)(?:_|\s*\/\s*)([^\s_/]{1,8})$/u;
const COMMENT = /^\s*(?:#|\/\/|;|%)/u;
const CLOCK = /^\d{1,2}:\d{2}:\d{2}(?:[.,]\d+)?$/u;
const DATE = /^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}/u;
const POINT_NUMBER = /^[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/iu;
const COMMA_NUMBER = /^[+-]?(?:\d+,\d+)(?:e[+-]?\d+)?$/iu;
const NAME_WITH_UNIT = /^(.*?)\s*[[(]([^\])]{0,12})[\])]\s*$/u;
const UNIT =
  /^(?:s|sec|secs?onds?|ms|µs|us|v|volts?|mv|%|°|deg|k?pa|h?pa|mpa|m?bar|psi[ag]?|(?:in|mm)(?:hg|h2o)|g\/s|kg\/h|lb\/min|rpm|1\/min|°c|°f|k?hz|m?a|k?ohms?|k?Ω|-)?$/iu;
/** A row of units may hold some that nobody knows here: as long as most are, and none is long. */
const LONGEST_UNIT = 12;
const BYTE_ORDER_MARK = '\ufeff';

/** A file whose first bytes are no text is refused before anything reads it. */
export function looksBinary(firstBytes: Uint8Array): boolean {
  let odd = 0;
  for (const byte of firstBytes) {
    if (byte === 0) return true;
    if (byte < 9 || (byte > 13 && byte < 32)) odd++;
  }
  return odd > firstBytes.length / 20;
}

/**
 * What the first lines of a file say of its layout.
 *
 * @param rows cells of the first lines, split by `delimiter`
 * @param headerRows where somebody has said how many lines stand before the numbers
 */
export function layoutOf(
  rows: readonly (readonly string[])[],
  delimiter: string,
  { headerRows: given }: { headerRows?: number | undefined } = {},
): Result<Layout, LayoutFault> {
  const lines = rows.filter((row) => row.some((cell) => cell.trim() !== '') && !isComment(row));
  if (lines.length === 0)
    return fail('empty', say('file.file-no-lines'), say('file.choose-file-row-each-sample'));
  const widest = rows.findIndex((row) => row.length > MOST_COLUMNS);
  if (widest >= 0)
    return fail(
      'too-many-columns',
      say('file.row-columns-up-can-read', {
        row: widest + 1,
        columns: rows[widest]!.length,
        most: MOST_COLUMNS,
      }),
      say('file.export-channels-matter-each-column'),
    );
  const firstNumbers =
    given ??
    rows.findIndex(
      (row, i) => !isComment(row) && isNumeric(row, delimiter) && !isPreamble(rows, i, delimiter),
    );
  if (firstNumbers < 0)
    return fail(
      'no-numbers',
      say('file.no-row-numbers-found-first', { rows: rows.length }),
      say('file.each-sample-needs-row-numbers'),
    );
  const body = rows.slice(firstNumbers).filter((row) => !isComment(row) && isNumeric(row, delimiter));
  if (body.length === 0)
    return fail(
      'no-numbers',
      say('file.no-row-numbers-comes-after', { lines: firstNumbers }),
      say('file.give-fewer-lines-heading'),
    );
  const width = usualLength(body);
  const columns = columnsOf(
    rows.slice(0, firstNumbers).filter((row) => !isComment(row)),
    width,
  );
  const timeColumn = columns.findIndex(
    ({ name }, i) =>
      TIME_NAME.test(name) || body.every((row) => CLOCK.test(cellAt(row, i)) || DATE.test(cellAt(row, i))),
  );
  return ok({
    delimiter,
    decimal:
      body.some((row) => row.some((cell) => COMMA_NUMBER.test(cell.trim()))) && delimiter !== ',' ? ',' : '.',
    headerRows: firstNumbers,
    columns,
    timeColumn: timeColumn < 0 ? undefined : timeColumn,
    timeForm: timeColumn < 0 ? 'none' : timeFormOf(columns[timeColumn]!, cellAt(body[0]!, timeColumn)),
  });
}

const isComment = (row: readonly string[]): boolean => COMMENT.test(row[0] ?? '');

/** A line of numbers above the names, as instruments write their settings: the body goes on to the end. */
function isPreamble(rows: readonly (readonly string[])[], at: number, delimiter: string): boolean {
  const next = rows.slice(at + 1).find((row) => row.some((cell) => cell.trim() !== '') && !isComment(row));
  // A broken sample is no line of names: those are words in every cell.
  return (
    next !== undefined &&
    !isNumeric(next, delimiter) &&
    next.every((cell) => cell.trim() === '' || /\p{L}/u.test(cell))
  );
}

/** One row with a cell too many makes no column. */
function usualLength(rows: readonly (readonly string[])[]): number {
  const counts = new Map<number, number>();
  for (const { length } of rows) counts.set(length, (counts.get(length) ?? 0) + 1);
  return [...counts].reduce((best, one) => (one[1] > best[1] ? one : best))[0];
}

/** With a point or a comma for its decimals. */
export const isNumber = (cell: string): boolean => POINT_NUMBER.test(cell) || COMMA_NUMBER.test(cell);
/** A time of day, or a date with it. */
export const isMoment = (cell: string): boolean => CLOCK.test(cell) || DATE.test(cell);
/** A word rather than a number or a moment. */
export const hasLetters = (cell: string): boolean =>
  /\p{L}/u.test(cell) && !isNumber(cell) && !isMoment(cell);
/** What a column of moments is called. */
export const namesTime = (cell: string): boolean => TIME_NAME.test(cell);

const cellAt = (row: readonly string[], i: number): string => (row[i] ?? '').trim();

/** At least half of the cells that hold anything are numbers or moments. */
function isNumeric(row: readonly string[], delimiter: string): boolean {
  const filled = row.map((cell) => cell.trim()).filter((cell) => cell !== '');
  const numbers = filled.filter(
    (cell) =>
      POINT_NUMBER.test(cell) ||
      (delimiter !== ',' && COMMA_NUMBER.test(cell)) ||
      CLOCK.test(cell) ||
      DATE.test(cell),
  );
  return filled.length > 0 && numbers.length >= filled.length / 2;
}

/** Names from the last header line that has any; units in brackets behind them, or in a line of their own below. */
function columnsOf(header: readonly (readonly string[])[], width: number): LayoutColumn[] {
  const lines = header.filter(
    (row) => row.length >= Math.min(2, width) && row.some((cell) => cell.trim() !== ''),
  );
  const last = lines.at(-1);
  const isUnits = (row: readonly string[] | undefined): boolean => {
    if (row === undefined || lines.length < 2) return false;
    const cells = row.map(bare).filter((cell) => cell !== '');
    const known = cells.filter((cell) => UNIT.test(cell)).length;
    return (
      cells.length > 0 && known >= cells.length / 2 && cells.every((cell) => cell.length <= LONGEST_UNIT)
    );
  };
  const units = isUnits(last) ? last : undefined;
  const names = units ? lines.at(-2) : last;
  return Array.from({ length: width }, (_, i) => {
    const cell = tidy(names?.[i] ?? '');
    const [, bracketed, inBrackets] = NAME_WITH_UNIT.exec(cell) ?? [];
    const [, before, behind = ''] = NAME_SLASH_UNIT.exec(cell) ?? [];
    const [name, unit] =
      bracketed !== undefined
        ? [bracketed, inBrackets ?? '']
        : before !== undefined && behind !== '' && UNIT.test(behind)
          ? [before, behind]
          : [cell, ''];
    return { name: tidy(name) || `Column ${i + 1}`, unit: units ? bare(units[i] ?? '') : unit.trim() };
  });
}

const bare = (cell: string): string =>
  cell
    .replaceAll(BYTE_ORDER_MARK, '')
    .trim()
    .replace(/^[[(](.*)[\])]$/u, '$1');
/** A name is shown and exported again: no control characters, no endless line. */
const tidy = (cell: string): string =>
  cell
    .replaceAll(BYTE_ORDER_MARK, '')
    // eslint-disable-next-line no-control-regex -- they are what is taken out
    .replace(/[\u0000-\u001f\u007f]/gu, ' ')
    .trim()
    .replace(/^"(.*)"$/u, '$1')
    .slice(0, MOST_NAME_LETTERS);

function timeFormOf({ name, unit }: LayoutColumn, first: string): TimeForm {
  if (CLOCK.test(first)) return 'clock';
  if (DATE.test(first)) return 'date';
  const said = `${unit} ${name}`.toLowerCase().replaceAll('_', ' ');
  if (/\bms(?:ec)?\b|milli/u.test(said)) return 'ms';
  return /(?:^|\s)[µu]s(?:ec)?\b|micro/u.test(said) ? 'µs' : 's';
}
