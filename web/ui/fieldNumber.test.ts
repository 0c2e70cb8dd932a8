import { expect, test } from 'vitest';
import { fieldNumber } from './fieldNumber.ts';
import { inWords } from '@lettura/words';

const limits = { lowest: -430, highest: 6000, unit: 'm' };

test.each([
  ['250', 250],
  ['12,5', 12.5],
  ['.5', 0.5],
  ['−12', -12],
  [' 6000 ', 6000],
])('“%s” is %d', (text, value) => {
  expect(fieldNumber(text, limits)).toEqual({ ok: true, value });
});

test.each([
  ['', 'not-a-number'],
  ['high', 'not-a-number'],
  ['1e9', 'not-a-number'],
  ['1,000.5', 'not-a-number'],
  ['Infinity', 'not-a-number'],
  ['6001', 'out-of-range'],
])('“%s” is refused as %s, with the range', (text, code) => {
  const result = fieldNumber(text, limits);
  expect(result).toMatchObject({ ok: false, problem: { code } });
  expect(!result.ok && inWords(result.problem.next)).toContain('-430 to 6000 m');
});
