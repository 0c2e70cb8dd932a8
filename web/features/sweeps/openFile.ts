import { fixed, say } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import {
  asTable,
  itemsLeftOut,
  layoutOf,
  looksBinary,
  looksLikeCandump,
  namedRows,
  type Layout,
  type NamedRows,
} from '@lettura/core/recording/file';
import Papa from 'papaparse';

export const MOST_FILE_MEGABYTES = 512;
/** Each row becomes as many cells as there are items. */
const MOST_JOINED_MEGABYTES = 32;
const FIRST_BYTES = 256 * 1024;
const SHOWN_ROWS = 5;
const SETTLING_ROWS = 200;

/** What the beginning of a file says: a log of frames, a recording of this product, or a table with a layout to confirm. */
export type Opened =
  | { kind: 'candump' }
  | { kind: 'json' }
  | {
      kind: 'table';
      layout: Layout;
      firstRows: string[][];
      /** Written anew, since each of its rows said which item it is of. */
      joined?: Blob;
      /** Items of such a file for which there was no channel left. */
      leftOut?: readonly string[];
    };

/**
 * A tab or a semicolon in most lines separates them, whatever commas there are: those may be decimal. Otherwise the
 * library guesses.
 */
function surelyDelimiter(text: string): string {
  const lines = text
    .split('\n')
    .slice(0, SETTLING_ROWS)
    .filter((line) => line.trim() !== '');
  return (
    ['\t', ';'].find((sign) => lines.filter((line) => line.includes(sign)).length > lines.length / 2) ?? ''
  );
}

/** Looks at the beginning of a file only; a dialect is settled by the library, and its layout from the first rows. */
export async function openFile(
  file: Blob,
  said: { headerRows?: number | undefined } = {},
): Promise<Result<Opened, string>> {
  const megabytes = file.size / 1024 / 1024;
  if (megabytes > MOST_FILE_MEGABYTES)
    return fail(
      'too-large',
      say('app.file-up-mb-can-read', {
        size: megabytes >= 1024 ? fixed(megabytes / 1024, 1, 'GB') : fixed(megabytes, 0, 'MB'),
        most: fixed(MOST_FILE_MEGABYTES, 0, 'MB'),
      }),
      say('app.export-shorter-stretch-fewer-channels'),
    );
  const bytes = new Uint8Array(await file.slice(0, FIRST_BYTES).arrayBuffer());
  if (looksBinary(bytes))
    return fail('binary', say('app.file-not-text-first-bytes'), say('app.export-recording-csv-can-traffic'));
  const text = new TextDecoder().decode(bytes);
  if (/^\s*\{/u.test(text)) return ok({ kind: 'json' });
  if (looksLikeCandump(text)) return ok({ kind: 'candump' });
  const { data, meta } = Papa.parse<string[]>(text, {
    preview: SETTLING_ROWS,
    delimiter: surelyDelimiter(text),
    delimitersToGuess: [',', '|', ' '],
  });
  const named = said.headerRows === undefined ? namedRows(data) : undefined;
  if (named) return joinedFrom(file, named, meta.delimiter);
  const layout = layoutOf(data, meta.delimiter, said);
  if (!layout.ok) return layout;
  const { headerRows } = layout.value;
  return ok({
    kind: 'table',
    layout: layout.value,
    firstRows: data.slice(headerRows, headerRows + SHOWN_ROWS),
  });
}

/** Of a log with one value a row the table that it makes. */
async function joinedFrom(file: Blob, named: NamedRows, delimiter: string): Promise<Result<Opened, string>> {
  if (file.size > MOST_JOINED_MEGABYTES * 1024 * 1024)
    return fail(
      'too-large',
      say('app.log-of-values-up-mb-can-read', { most: fixed(MOST_JOINED_MEGABYTES, 0, 'MB') }),
      say('app.export-shorter-stretch-fewer-channels'),
    );
  const { data } = Papa.parse<string[]>(await file.text(), { delimiter });
  // A tab stands in no number, whichever sign its decimals have.
  const joined = new Blob([Papa.unparse(asTable(data, named), { delimiter: '\t', newline: '\n' })]);
  const opened = await openFile(joined);
  return opened.ok && opened.value.kind === 'table'
    ? ok({ ...opened.value, joined, leftOut: itemsLeftOut(data, named) })
    : opened;
}
