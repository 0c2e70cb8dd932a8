import { expect, test } from 'vitest';
import { timesInWords } from './index.ts';

test.each([
  [1.83, '1.8 times'],
  [12, '12 times'],
  [173, '170 times'],
  [1e3, '1,000 times'],
  [1.7e3, 'more than 1,000 times'],
  [Infinity, 'more than 1,000 times'],
])('%d is “%s”, with no exponent in it', (factor, words) => expect(timesInWords(factor)).toBe(words));
