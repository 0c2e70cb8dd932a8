import type { Recording } from '../sweep/index.ts';

/** A cell that a spreadsheet would take for a formula is written so that it is not one. */
const FORMULA = /^[=+\-@\t\r]/u;

const quoted = (text: string): string => {
  const safe = FORMULA.test(text) ? `'${text}` : text;
  return /[",\n\r]/u.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
};

const headed = ({ name, unit }: { name: string; unit: string }): string =>
  quoted(unit ? `${name} [${unit}]` : name);

/** Comma, point, a header with units; every number so that it is read back exactly. In pieces, since it may be long. */
export function* csvOf({ seconds, channels }: Recording): Generator<string> {
  yield `${['Time [s]', ...channels.map(headed)].join(',')}\r\n`;
  const PIECE = 10_000;
  for (let from = 0; from < seconds.length; from += PIECE) {
    let piece = '';
    for (let i = from; i < Math.min(seconds.length, from + PIECE); i++) {
      piece += String(seconds[i]);
      for (const { values } of channels) piece += `,${Number.isNaN(values[i]!) ? '' : String(values[i])}`;
      piece += '\r\n';
    }
    yield piece;
  }
}

/** What the columns are, for machines: W3C CSV on the Web (tabular metadata, 2015). */
export function csvMetadata({ channels }: Pick<Recording, 'channels'>, fileName: string): object {
  const column = (name: string, titles: string, unit: string) => ({
    name,
    titles,
    datatype: 'double',
    required: name === 'time',
    ...(unit ? { 'schema:unitText': unit } : {}),
  });
  return {
    '@context': ['http://www.w3.org/ns/csvw', { schema: 'http://schema.org/' }],
    url: fileName,
    dialect: { delimiter: ',', header: true, encoding: 'utf-8', lineTerminators: ['\r\n'] },
    tableSchema: {
      columns: [
        column('time', 'Time [s]', 's'),
        ...channels.map(({ name, unit }, i) =>
          column(`channel${i + 1}`, unit ? `${name} [${unit}]` : name, unit),
        ),
      ],
    },
  };
}
