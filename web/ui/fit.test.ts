import { expect, test } from 'vitest';
import { fitOf } from '@lettura/core/judge/expectation';
import { fitInWords } from './fit.ts';

test.each([
  [0.9, '✓ as expected'],
  [1.1, '✓ as expected'],
  [0.89, '▼ below what is expected'],
  [1.11, '▲ above what is expected'],
])('%s V where 0.9 to 1.1 V are expected: %s', (volts, words) => {
  expect(fitInWords(fitOf(volts, { lowest: 0.9, highest: 1.1 }))).toBe(words);
});

test('what its meter cannot tell from inside is at the edge, and no more', () => {
  const band = { lowest: 4.9, highest: 5.1, of: 'volts' };
  expect([4.89, 4.87, 4.86, 5.13].map((volts) => fitOf(volts, band, 0.035))).toEqual([
    'at-the-edge',
    'at-the-edge',
    'below',
    'at-the-edge',
  ]);
});
