import { expect, test } from 'vitest';
import { voltsInWords } from './index.ts';

test.each([
  [4.987, '4.99 V'],
  [0.6, '0.60 V'],
  [0.0214, '21 mV'],
  [0, '0 mV'],
  [-0.0002, '0 mV'],
  [-0.018, '−18 mV'],
  [-4.98, '−4.98 V'],
])('%d V is said as %s', (volts, words) => {
  expect(voltsInWords(volts)).toBe(words);
});
