import type { Recording } from '../sweep/index.ts';
import { hasLetters, isMoment, isNumber, MOST_COLUMNS, namesTime } from './layout.ts';

/*
 * Logs of live data hold one value a row: whoever asks a vehicle gets one answer after the other. Either each row says which item it
 * is of, or every item has its column and all others of a row are empty. Between two of its own answers a value stands.
 */

/** Which columns hold what, where a row says which item it is of. */
export interface NamedRows {
  /** Lines before the first value. */
  headerRows: number;
  time: number;
  name: number;
  value: number;
  unit: number | undefined;
}

/** Fewer rows show no custom. */
const FEWEST_ROWS = 6;
/** So many of the rows are as it says: some loggers write a remark between. */
const NEARLY_ALL = 0.9;

/**
 * Whether rows say which item they are of.
 *
 * @param rows cells of the first lines, header included
 * @returns undefined for a table with a row for each sample
 */
export function namedRows(rows: readonly (readonly string[])[]): NamedRows | undefined {
  const cell = (row: readonly string[], i: number): string => (row[i] ?? '').trim();
  const filled = rows.filter((row) => row.some((_, i) => cell(row, i) !== ''));
  const width = Math.max(0, ...filled.map(({ length }) => length));
  const headerRows = rows.findIndex((row) => row.some((_, i) => isNumber(cell(row, i))));
  if (headerRows < 0 || width < 3) return undefined;
  const body = rows.slice(headerRows).filter((row) => row.some((_, i) => cell(row, i) !== ''));
  if (body.length < FEWEST_ROWS) return undefined;
  const columns = Array.from({ length: width }, (_, i) => i);
  const most = (holds: (text: string) => boolean) => (i: number) =>
    body.filter((row) => holds(cell(row, i))).length >= NEARLY_ALL * body.length;
  const header = rows[headerRows - 1] ?? [];
  const numeric = columns.filter(most(isNumber));
  const moments = columns.filter(most(isMoment));
  const time =
    moments[0] ??
    numeric.find((i) => namesTime(cell(header, i))) ??
    numeric.find((i) =>
      body.every((row, k) => k === 0 || Number(cell(row, i)) >= Number(cell(body[k - 1]!, i))),
    );
  const values = numeric.filter((i) => i !== time);
  const [value] = values;
  if (time === undefined || value === undefined || values.length > 1) return undefined;
  const said = (i: number) => new Set(body.map((row) => cell(row, i)));
  const words = columns
    .filter((i) => i !== time && i !== value && most(hasLetters)(i))
    .filter((i) => said(i).size >= 2 && said(i).size <= Math.min(MOST_COLUMNS - 1, body.length / 2))
    .sort((a, b) => said(b).size - said(a).size);
  const [name] = words;
  if (name === undefined) return undefined;
  const isOneByName = (i: number): boolean => {
    const of = new Map<string, string>();
    return body.every((row) => {
      const before = of.get(cell(row, name)) ?? cell(row, i);
      of.set(cell(row, name), before);
      return before === cell(row, i);
    });
  };
  const unit = columns.find(
    (i) =>
      i !== time && i !== value && i !== name && isOneByName(i) && body.some((row) => cell(row, i) !== ''),
  );
  return { headerRows, time, name, value, unit };
}

/** The items for which such a table has no column: a recording has so many channels and no more. */
export function itemsLeftOut(
  rows: readonly (readonly string[])[],
  { headerRows, name }: Pick<NamedRows, 'headerRows' | 'name'>,
): string[] {
  const items = new Set(rows.slice(headerRows).map((row) => row[name]?.trim() ?? ''));
  items.delete('');
  return [...items].slice(MOST_COLUMNS - 1);
}

/** The same as a table with a column for each item and a row for each moment, its header first. */
export function asTable(
  rows: readonly (readonly string[])[],
  { headerRows, time, name, value, unit }: NamedRows,
): string[][] {
  const items = new Map<string, number>();
  const header = [rows[headerRows - 1]?.[time]?.trim() || 'time'];
  const table: string[][] = [header];
  const standing: string[] = [];
  let last: string[] | undefined;
  /** Items of which the last row has a value of its own, and not one that stands. */
  const own = new Set<number>();
  for (const row of rows.slice(headerRows)) {
    const [moment = '', item = '', reads = ''] = [row[time], row[name], row[value]].map((text) =>
      text?.trim(),
    );
    if (item === '' || moment === '') continue;
    let at = items.get(item);
    if (at === undefined) {
      if (items.size === MOST_COLUMNS - 1) continue;
      items.set(item, (at = items.size));
      const said = unit === undefined ? '' : (row[unit]?.trim() ?? '');
      header.push(said === '' ? item : `${item} [${said}]`);
    }
    standing[at] = reads;
    // A clock of whole seconds gives several values of one item the same moment: each has its row.
    if (last?.[0] === moment && !own.has(at)) last[at + 1] = reads;
    else {
      own.clear();
      table.push((last = [moment, ...standing]));
    }
    own.add(at);
  }
  for (const row of table) for (let i = 0; i < header.length; i++) row[i] ??= '';
  return table;
}

/**
 * Where every item has its column, and nearly every row a value of one of them: each as it stands until its next value.
 *
 * @returns undefined where rows hold more
 */
export function standingValues(recording: Recording): Recording | undefined {
  const { seconds, channels } = recording;
  if (channels.length < 2 || seconds.length < FEWEST_ROWS) return undefined;
  let single = 0;
  for (let i = 0; i < seconds.length; i++) {
    let held = 0;
    for (const { values } of channels) if (!Number.isNaN(values[i])) held++;
    if (held === 1) single++;
  }
  if (single < NEARLY_ALL * seconds.length) return undefined;
  return {
    seconds,
    channels: channels.map((channel) => {
      const values = channel.values.slice();
      for (let i = 1; i < values.length; i++) if (Number.isNaN(values[i])) values[i] = values[i - 1]!;
      return { ...channel, values };
    }),
  };
}
