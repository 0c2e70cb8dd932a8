import {
  fixed,
  measured,
  ohms,
  plain,
  pressure,
  times,
  volts,
  type Quantity,
} from '@lettura/core/measure/message';
import { expect, test } from 'vitest';
import { ENGLISH, wordsFor } from './index.ts';

const inches = wordsFor({ language: 'en', pressureUnit: 'inHg' });
const english = wordsFor(ENGLISH);

test.each<[Quantity, string]>([
  [volts(4.987), '4.99 V'],
  [volts(0.6), '0.60 V'],
  [volts(0.0214), '21 mV'],
  [volts(0), '0 mV'],
  [volts(-0.0002), '0 mV'],
  [volts(-0.018), '−18 mV'],
  [volts(-4.98), '−4.98 V'],
  [volts(NaN), '–'],
  [ohms(14), '14.0 Ω'],
  [ohms(2200), '2.20 kΩ'],
  [ohms(1.5e6), '1.50 MΩ'],
  [ohms(Infinity), 'OL'],
  [JSON.parse(JSON.stringify(ohms(Infinity))) as Quantity, 'OL'],
  [times(1.83), '1.8 times'],
  [times(12), '12 times'],
  [times(173), '170 times'],
  [times(1e3), '1,000 times'],
  [times(1.7e3), 'more than 1,000 times'],
  [times(Infinity), 'more than 1,000 times'],
  [fixed(2.5, 2, 'V'), '2.50 V'],
  [fixed(NaN, 2, 'V'), '–'],
  [plain(1.3), '1.3'],
  [plain(1300, 'm'), '1300 m'],
  [measured(41.83, 'position'), '41.8 %'],
  [measured(3.417, 'air-flow'), '3.42 g/s'],
  [measured(47, 'absolute-pressure', 'with-basis'), '47.0 kPa abs'],
  [measured(0.043, 'differential-pressure', 'fine'), '0.04 kPa'],
  [{ kpaIn: 16.932, unit: 'inHg' }, '5 inHg'],
])('%j is said as “%s”', (quantity, words) => expect(english.value(quantity)).toBe(words));

test('a pressure is said in the unit of whoever reads, a pressure that was set in its own', () => {
  // 30 kPa by hand: 30 / 3.386389 = 8.859.
  expect(inches.value(pressure(30))).toBe('8.86 inHg');
  expect(inches.value(measured(30, 'gauge-pressure', 'with-basis'))).toBe('8.86 inHg gauge');
  expect(inches.value({ kpaIn: 20, unit: 'kPa' })).toBe('20 kPa');
});
