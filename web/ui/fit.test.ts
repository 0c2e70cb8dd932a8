import { expect, test } from 'vitest';
import { fitInWords, fitOf } from './fit.ts';

test.each([
  [0.9, '✓ as expected'],
  [1.1, '✓ as expected'],
  [0.89, '▼ below what is expected'],
  [1.11, '▲ above what is expected'],
])('%s V where 0.9 to 1.1 V are expected: %s', (volts, words) => {
  expect(fitInWords(fitOf(volts, { lowest: 0.9, highest: 1.1 }))).toBe(words);
});
