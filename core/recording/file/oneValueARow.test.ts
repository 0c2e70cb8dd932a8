import fc from 'fast-check';
import { expect, test } from 'vitest';
import { asTable, itemsLeftOut, namedRows, standingValues } from './index.ts';

const rowsOf = (text: string, delimiter = ','): string[][] =>
  text.split('\n').map((line) => line.split(delimiter));

const LOG = rowsOf(`Time (s),Item,Value,Unit
0.00,Engine speed,812,rpm
0.05,Manifold,34.5,kPa
0.10,Engine speed,820,rpm
0.15,Manifold,34.0,kPa
0.15,Air,21,°C
0.20,Engine speed,815,rpm
0.25,Manifold,34.5,kPa
0.30,Air,21,°C`);

test('rows that say which item they are of become a column for each, which stands until its next value', () => {
  const named = namedRows(LOG);
  expect(named).toEqual({ headerRows: 1, time: 0, name: 1, value: 2, unit: 3 });
  expect(asTable(LOG, named!)).toEqual([
    ['Time (s)', 'Engine speed [rpm]', 'Manifold [kPa]', 'Air [°C]'],
    ['0.00', '812', '', ''],
    ['0.05', '812', '34.5', ''],
    ['0.10', '820', '34.5', ''],
    ['0.15', '820', '34.0', '21'],
    ['0.20', '815', '34.0', '21'],
    ['0.25', '815', '34.5', '21'],
    ['0.30', '815', '34.5', '21'],
  ]);
});

test('values of one item that share a moment keep a row each', () => {
  const rows = rowsOf('1,A,5\n1,B,6\n1,A,7\n1,A,8\n2,B,9');
  expect(asTable(rows, { headerRows: 0, time: 0, name: 1, value: 2, unit: undefined })).toEqual([
    ['time', 'A', 'B'],
    ['1', '5', '6'],
    ['1', '7', '6'],
    ['1', '8', '6'],
    ['2', '8', '9'],
  ]);
});

test.each([
  ['a clock and decimal commas', ';', (i: number) => `09:00:${10 + i},5;${i % 2 ? 'A' : 'B'};${i},25`],
  ['the name before the moment', ',', (i: number) => `${i % 2 ? 'A' : 'B'},${i},${30 - i}`],
  [
    'a unit that never changes beside a constant sender',
    ',',
    (i: number) => `${i},can0,${i % 2 ? 'A' : 'B'},${i},V`,
  ],
])('%s is seen', (_, delimiter, line) => {
  const rows = rowsOf(Array.from({ length: 10 }, (_row, i) => line(i)).join('\n'), delimiter);
  const named = namedRows(rows);
  expect(named).toBeDefined();
  const [header, ...body] = asTable(rows, named!);
  expect(header!.slice(1).map((name) => name[0])).toEqual(['B', 'A']);
  expect(body).toHaveLength(10);
});

test.each([
  ['two columns of numbers', (i: number) => `${i},${i % 2 ? 'on' : 'off'},${i},${2 * i}`],
  ['a remark of its own in each row', (i: number) => `${i},remark ${i},${2 * i}`],
  ['one item alone', (i: number) => `${i},idle,${2 * i}`],
])('a table with %s stays a table', (_, line) => {
  expect(namedRows(rowsOf(Array.from({ length: 12 }, (_row, i) => line(i)).join('\n')))).toBeUndefined();
});

test('no value of such a log is lost or comes early, whatever the order', () => {
  const items = ['A', 'B', 'C'] as const;
  const log = fc.array(fc.tuple(fc.constantFrom(...items), fc.integer({ min: -500, max: 500 })), {
    minLength: 1,
    maxLength: 60,
  });
  fc.assert(
    fc.property(log, (said) => {
      const rows = said.map(([item, value], i) => [String(i), item, String(value)]);
      const [header, ...body] = asTable(rows, { headerRows: 0, time: 0, name: 1, value: 2, unit: undefined });
      return body.every((row, i) =>
        header!.slice(1).every((item, c) => {
          const last = said.slice(0, i + 1).findLast(([one]) => one === item);
          return row[c + 1] === (last ? String(last[1]) : '');
        }),
      );
    }),
  );
});

test('columns of which each row fills one stand until their next value; fuller rows are left as they are', () => {
  const channel = (name: string, values: number[]) => ({
    name,
    unit: 'V',
    values: Float64Array.from(values),
  });
  const seconds = Float64Array.from([0, 1, 2, 3, 4, 5]);
  const found = standingValues({
    seconds,
    channels: [channel('A', [1, NaN, 2, NaN, 3, NaN]), channel('B', [NaN, 10, NaN, 11, NaN, 12])],
  });
  expect(found!.channels.map(({ values }) => [...values])).toEqual([
    [1, 1, 2, 2, 3, 3],
    [NaN, 10, 10, 11, 11, 12],
  ]);
  expect(
    standingValues({
      seconds,
      channels: [channel('A', [1, 2, 3, NaN, 5, 6]), channel('B', [1, 1, NaN, 1, 1, 1])],
    }),
  ).toBeUndefined();
});

test('items beyond the channels that a recording has are named', () => {
  const rows = Array.from({ length: 140 }, (_, i) => [String(i), `Item ${i % 70}`, '1']);
  const named = { headerRows: 0, time: 0, name: 1, value: 2, unit: undefined };
  expect(itemsLeftOut(rows, named)).toEqual(Array.from({ length: 7 }, (_, i) => `Item ${63 + i}`));
  expect(asTable(rows, named)[0]).toHaveLength(64);
  expect(itemsLeftOut(rows.slice(0, 63), named)).toEqual([]);
});
