import { parsePoints } from '@lettura/core/record/entry';
import { MPX4250A } from '@lettura/core/measure/transfer';
import { inWords } from '@lettura/words';
import { expect, test } from 'vitest';
import { pointsFromCsv, pointsToCsv } from './pointsCsv.ts';

test.each([
  ['comma', 'kPa,V\n20,0.5\n60,1.95'],
  ['semicolon, decimal comma', 'kPa;V\r\n20;0,5\r\n60;1,95\r\n'],
  ['tab, no heading', '20\t0.5\n60\t1.95'],
  [
    'byte-order mark, quotes, comments and gaps',
    '\uFEFF"pressure","volts"\n# bench 2\n\n"20","0.5"\n"60","1.95"\n',
  ],
])('a CSV table is read: %s', (_dialect, content) => {
  const read = pointsFromCsv(content);
  if (!read.ok) throw new Error(`${read.message} ${JSON.stringify(read.faults)}`);
  const points = parsePoints(read.text, 'absolute-pressure', 'kPa');
  expect(points).toMatchObject({
    value: [
      { value: 20, volts: 0.5 },
      { value: 60, volts: 1.95 },
    ],
  });
});

test('mixed decimal signs, words and odd rows are listed with row and column, and nothing is taken', () => {
  const read = pointsFromCsv('kPa;V\n20;0,5\n60;1.95\nninety;2,9\n100\n110;3;4');
  expect(inWords(read)).toMatchObject({
    ok: false,
    faults: [
      { where: 'row 3, column 2', what: '“1.95” has a decimal point, unlike row 2, column 2.' },
      { where: 'row 4, column 1', what: '“ninety” is not a number.' },
      { where: 'row 5' },
      { where: 'row 6' },
    ],
  });
});

test.each([
  ['', 'no row of numbers'],
  ['only,words\nin,here', 'Nothing was taken'],
  [`${'1,2\n'.repeat(10_001)}`, '10001 points'],
  ['x'.repeat(3 * 1024 * 1024), '2 MB at most'],
  ['\u0000\u0001binary\u0002', 'no row of numbers'],
])('a file without a table is refused (%#)', (content, message) => {
  const read = pointsFromCsv(content);
  expect(read.ok).toBe(false);
  expect(!read.ok && read.message).toContain(message);
});

test('a curve exported and read again is the same curve', () => {
  const read = pointsFromCsv(pointsToCsv(MPX4250A, 'psi'));
  if (!read.ok) throw new Error(read.message);
  const points = parsePoints(read.text, 'absolute-pressure', 'psi');
  if (!points.ok) throw new Error(points.problem.code);
  expect(points.value).toHaveLength(21);
  expect(points.value[0]?.value).toBeCloseTo(20, 6);
  expect(points.value[0]?.volts).toBeCloseTo(0.2, 8);
});
