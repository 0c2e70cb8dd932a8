import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
  csvMetadata,
  csvOf,
  decodeCandump,
  layoutOf,
  looksBinary,
  looksLikeCandump,
  NumberScanner,
  type Layout,
  type ScanResult,
} from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const encoder = new TextEncoder();
const settled = (text: string, delimiter: string): Layout => {
  const rows = text
    .split(/\r?\n/u)
    .slice(0, 50)
    .map((line) => line.split(delimiter).map((cell) => cell.replace(/^"(.*)"$/u, '$1')));
  const layout = coded(layoutOf(rows, delimiter));
  if (!layout.ok) throw new Error(layout.problem.code);
  return layout.value;
};
function scan(text: string, delimiter: string, pieces = 1): ScanResult & { layout: Layout } {
  const layout = settled(text, delimiter);
  const bytes = encoder.encode(text);
  const scanner = new NumberScanner(layout, 100);
  const size = Math.ceil(bytes.length / pieces);
  for (let at = 0; at < bytes.length; at += size) scanner.feed(bytes.subarray(at, at + size));
  return { ...scanner.finish(), layout };
}
/** Time and channels in one list of rows, to compare. */
const rowsOf = ({ recording: { seconds, channels } }: ScanResult) =>
  Array.from(seconds, (moment, i) => [
    Number(moment.toFixed(9)),
    ...channels.map(({ values }) => (Number.isNaN(values[i]!) ? null : values[i]!)),
  ]);
const namesOf = ({ recording }: ScanResult) => recording.channels.map(({ name, unit }) => `${name}|${unit}`);

const TWO = [
  [0, 0.5, 4.5],
  [0.01, 0.51, 4.49],
  [0.02, 0.52, 4.48],
];
const NAMES = ['A|V', 'B|V'];
const DIALECTS: [string, string, string][] = [
  [
    'comma, point, units in brackets',
    ',',
    'Time [s],A [V],B [V]\n0,0.5,4.5\n0.01,0.51,4.49\n0.02,0.52,4.48\n',
  ],
  ['semicolon, decimal comma', ';', 'Time (s);A (V);B (V)\n0;0,5;4,5\n0,01;0,51;4,49\n0,02;0,52;4,48'],
  [
    'tab, line ends of Windows',
    '\t',
    'Time\tA [V]\tB [V]\r\n0\t0.5\t4.5\r\n0.01\t0.51\t4.49\r\n0.02\t0.52\t4.48\r\n',
  ],
  ['byte order mark', ',', '\ufeffTime [s],A [V],B [V]\n0,0.5,4.5\n0.01,0.51,4.49\n0.02,0.52,4.48\n'],
  ['units in a row of their own', ';', 'Time;A;B\ns;V;V\n0;0.5;4.5\n0.01;0.51;4.49\n0.02;0.52;4.48\n'],
  ['milliseconds', ',', 'time [ms],A [V],B [V]\n1000,0.5,4.5\n1010,0.51,4.49\n1020,0.52,4.48\n'],
  ['microseconds', ',', 'Time [µs],A [V],B [V]\n0,0.5,4.5\n10000,0.51,4.49\n20000,0.52,4.48\n'],
  ['a clock', ',', 'Clock,A [V],B [V]\n08:59:59.99,0.5,4.5\n09:00:00.00,0.51,4.49\n09:00:00.01,0.52,4.48\n'],
  [
    'a clock over midnight',
    ';',
    'Time;A [V];B [V]\n23:59:59,99;0,5;4,5\n00:00:00,00;0,51;4,49\n00:00:00,01;0,52;4,48\n',
  ],
  [
    'dates',
    ',',
    'When,A [V],B [V]\n2026-11-25T08:00:00.000Z,0.5,4.5\n2026-11-25T08:00:00.010Z,0.51,4.49\n2026-11-25T08:00:00.020Z,0.52,4.48\n',
  ],
  ['no moments at all', ',', 'A [V],B [V]\n0.5,4.5\n0.51,4.49\n0.52,4.48\n'],
  [
    'a preamble, quotes and spaces',
    ',',
    'Saltmere workshop\nlogger 4\n\n"Time [s]", "A [V]","B [V]"\n"0", 0.5 ,"4.5"\n0.01,0.51,4.49\n\n0.02,+0.52,4.480\n',
  ],
  ['powers of ten', '\t', 'Time [s]\tA [V]\tB [V]\n0\t5e-1\t4.5E0\n1e-2\t51e-2\t4.49\n2E-2\t.52\t4.48\n'],
];
test.each(DIALECTS)('dialect: %s', (_name, delimiter, text) => {
  for (const pieces of [1, 3, 17]) {
    const result = scan(text, delimiter, pieces);
    expect(rowsOf(result)).toEqual(TWO);
    expect(namesOf(result)).toEqual(NAMES);
    expect(result).toMatchObject({ rows: 3, badCells: 0, missingCells: 0, backwardRows: 0 });
  }
});

test('missing cells are gaps, odd ones are told with row and column, and time never goes back', () => {
  const result = scan('t,A,B\n0,1,2\n1,,2\n2,oops,2\n1.5,9,9\n3,1\n4,1,2,7\n', ',');
  expect(rowsOf(result)).toEqual([
    [0, 1, 2],
    [1, null, 2],
    [2, null, 2],
    [3, 1, null],
    [4, 1, 2],
  ]);
  expect(result).toMatchObject({
    missingCells: 2,
    extraCells: 1,
    badCells: 1,
    badExamples: [{ row: 4, column: 2, text: 'oops' }],
    backwardRows: 1,
  });
});

test('a row of a hundred thousand columns, no numbers, and nothing at all are refused with what to do', () => {
  const wide = coded(layoutOf([Array.from({ length: 100_000 }, () => '1')], ','));
  expect(!wide.ok && wide.problem.message).toBe(
    'file.row-columns-up-can-read{row: 1, columns: 100000, most: 64}',
  );
  const words = coded(layoutOf([['dear', 'reader']], ','));
  expect(!words.ok && words.problem.code).toBe('no-numbers');
  expect(!layoutOf([], ',').ok).toBe(true);
});

test('bytes that are no text are known from the first of them', () => {
  expect(looksBinary(Uint8Array.from([0x50, 0x4b, 3, 4, 0, 0]))).toBe(true);
  expect(looksBinary(encoder.encode('Zeit;Spannung (µV)\n0;1\n'))).toBe(false);
});

test('names are cut and cleaned, and never come back as a formula', () => {
  const name = `=HYPERLINK("x")${'y'.repeat(200)}`;
  const result = scan(`t;${name}\n0;1\n1;2\n`, ';');
  expect(result.recording.channels[0]!.name).toHaveLength(60);
  const [header] = csvOf(result.recording);
  expect(header).toMatch(/^Time \[s\],"'=HYPERLINK/u);
});

test('numbers are read exactly as the language reads them', () => {
  fc.assert(
    fc.property(fc.double({ noNaN: true, noDefaultInfinity: true }), (value) => {
      const { recording } = scan(`t,A\n0,1\n1,${value}\n`, ',');
      expect(recording.channels[0]!.values[1]).toBe(value === 0 ? 0 : value);
    }),
  );
});

test('what is written is read back exactly, gaps included', () => {
  const cell = fc.oneof(fc.double({ noNaN: true, min: -1e6, max: 1e6 }), fc.constant(NaN));
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell), { minLength: 2, maxLength: 60 }), (rows) => {
      const recording = {
        seconds: Float64Array.from(rows, (_, i) => i * 0.013),
        channels: [
          { name: 'Signal, plug', unit: 'V', values: Float64Array.from(rows, ([a]) => a) },
          { name: 'Live', unit: 'kPa', values: Float64Array.from(rows, ([, b]) => b + 0) },
        ],
      };
      // The first row says that there are numbers at all.
      recording.channels.forEach(({ values }) => (values[0] = 1));
      const text = [...csvOf(recording)].join('');
      const layout: Layout = {
        delimiter: ',',
        decimal: '.',
        headerRows: 1,
        columns: [
          { name: 'Time', unit: 's' },
          { name: 'Signal, plug', unit: 'V' },
          { name: 'Live', unit: 'kPa' },
        ],
        timeColumn: 0,
        timeForm: 's',
      };
      const scanner = new NumberScanner(layout, 1);
      scanner.feed(encoder.encode(text));
      const back = scanner.finish().recording;
      expect([...back.seconds]).toEqual([...recording.seconds]);
      back.channels.forEach(({ values }, i) =>
        expect([...values]).toEqual(
          [...recording.channels[i]!.values].map((value) => (value === 0 ? 0 : value)),
        ),
      );
    }),
  );
});

test('the sidecar names every column with its unit, as the W3C has it', () => {
  const recording = { channels: [{ name: 'Signal', unit: 'V', values: new Float64Array(0) }] };
  expect(csvMetadata(recording, 'sweep.csv')).toMatchObject({
    '@context': ['http://www.w3.org/ns/csvw', expect.anything()],
    url: 'sweep.csv',
    tableSchema: {
      columns: [
        { name: 'time', datatype: 'double' },
        { titles: 'Signal [V]', 'schema:unitText': 'V' },
      ],
    },
  });
});

// Scaling by SAE J1979: 0x2F is 47 kPa, 0x1AF8 a quarter of 6904 per minute, 0x80 is 128/255.
test('a log of CAN frames gives live data, each item a channel that stands until its next answer', () => {
  const log = [
    '(1436509052.000000) can0 7DF#02010B0000000000',
    '(1436509052.010000) can0 7E8#03410B2F00000000',
    '(1436509052.110000) can0 7E8#04410C1AF8000000',
    'remark of a person',
    '(1436509052.210000) can0 18DAF110#0341118000000000',
    '(1436509052.310000) can0 7E8#03410B6400000000',
    '(1436509052.320000) can0 123#0102',
  ].join('\n');
  expect(looksLikeCandump(log)).toBe(true);
  const { recording, frames, oddLines } = decodeCandump(log);
  expect(frames).toBe(6);
  expect(oddLines).toEqual([4]);
  expect(recording.channels.map(({ name, unit }) => `${name} ${unit}`)).toEqual([
    'Manifold pressure kPa',
    'Engine speed rpm',
    'Throttle position %',
  ]);
  expect(recording.channels.map(({ values }) => [...values])).toEqual([
    [47, 47, 47, 100],
    [NaN, 1726, 1726, 1726],
    [NaN, NaN, (100 * 128) / 255, (100 * 128) / 255],
  ]);
  expect([...recording.seconds].map((moment) => Number(moment.toFixed(3)))).toEqual([0, 0.1, 0.2, 0.3]);
});
