import fc from 'fast-check';
import { expect, test } from 'vitest';
import { parseReading } from './parseReading.ts';

const read = (text: string, unit: Parameters<typeof parseReading>[1] = 'V') => {
  const result = parseReading(text, unit);
  return result.ok ? result.value : result.problem;
};

test.each([
  ['2.31', 2.31],
  ['2,31', 2.31],
  [' 2.31 V ', 2.31],
  ['.5', 0.5],
  ['12mV', 0.012],
  ['14.2 mV', 0.0142],
  ['-11.9 V', -11.9],
  ['−0,5', -0.5],
] as const)('%s on a wire is %d V', (text, volts) => {
  const reading = read(text);
  expect('value' in reading && reading.value).toBeCloseTo(volts, 9);
});

test('a meter in millivolts is remarked on, since 14.2 mV is nothing', () => {
  expect(read('14.2mV')).toMatchObject({ warnings: [{ code: 'millivolts' }] });
});

test('a bare 14.2 on a 5 V circuit asks about the small m', () => {
  expect(read('14.2')).toMatchObject({ warnings: [{ code: 'millivolts-suspected' }] });
});

test('a minus sign means swapped leads, but a few millivolts below zero are noise', () => {
  expect(read('-4.98')).toMatchObject({ warnings: [{ code: 'leads-swapped' }] });
  expect(read('-0.004')).toMatchObject({ warnings: [] });
});

test.each([
  ['', 'empty-reading'],
  ['   ', 'empty-reading'],
  ['2.3x1', 'unknown-unit'],
  ['two', 'not-a-number'],
  ['1e9', 'not-a-number'],
  ['1.2.3', 'not-a-number'],
  ['2 3', 'not-a-number'],
  ['OL', 'over-range'],
  ['0.L', 'over-range'],
  ['1.2k', 'wrong-quantity'],
  ['470 Ω', 'wrong-quantity'],
  ['5 ohms', 'wrong-quantity'],
  ['1.2 MΩ', 'wrong-quantity'],
  ['47 kPa', 'wrong-quantity'],
  ['900', 'value-out-of-range'],
] as const)('"%s" typed for a voltage is refused as %s', (text, code) => {
  const problem = read(text);
  expect(problem).toMatchObject({ code });
});

test.each([
  ['16.5 inHg', 'kPa', 55.8754],
  ['16.5 "Hg', 'kPa', 55.8754],
  ['16.5', 'inHg', 55.8754],
  ['558,8 mbar', 'kPa', 55.88],
  ['8.1 PSI', 'kPa', 55.8475],
] as const)('%s read where a bare number means %s is %d kPa (NIST SP 811 factors)', (text, unit, kpa) => {
  const reading = read(text, unit);
  expect('value' in reading && reading.value).toBeCloseTo(kpa, 3);
});

test('volts typed for a gauge are refused', () => {
  expect(read('2.31 V', 'inHg')).toMatchObject({ code: 'wrong-quantity' });
});

test('any text gives a finite value or a problem, never NaN', () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      const result = parseReading(text, 'V');
      return !result.ok || Number.isFinite(result.value.value);
    }),
  );
});
