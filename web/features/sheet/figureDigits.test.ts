import fc from 'fast-check';
import { expect, test } from 'vitest';
import { FIGURE_FORMS, formExample, isHalfAFigure, wholeFigure } from './figureDigits.ts';

test.each([
  ['123', '2', '1.23'],
  ['012', '2', '0.12'],
  ['4987', '3', '4.987'],
  ['1.23', '2', '1.23'],
  ['1,23', '2', '1,23'],
  ['12', '2', undefined],
  ['1234', '2', undefined],
  ['1.2', '2', undefined],
  ['12.6', '2', undefined],
  ['-0.1', '2', undefined],
  ['123 mV', '2', undefined],
  ['123', 'as-typed', undefined],
] as const)('“%s” with %s digits after the point is %s', (text, form, whole) => {
  expect(wholeFigure(text, form)).toBe(whole);
});

test('the examples are what they say', () => {
  for (const form of ['2', '3'] as const) {
    const { digits, taken } = formExample(form);
    expect(wholeFigure(digits, form)).toBe(taken);
  }
});

test('no digit is lost or added, and digits that are no whole figure are never taken', () => {
  fc.assert(
    fc.property(fc.stringMatching(/^\d{1,6}$/u), fc.constantFrom(...FIGURE_FORMS), (digits, form) => {
      const whole = wholeFigure(digits, form);
      expect(whole?.replace('.', '') ?? digits).toBe(digits);
      expect(isHalfAFigure(digits, form)).toBe(form !== 'as-typed' && whole === undefined);
      if (whole) expect(Number(whole)).toBeLessThan(10);
    }),
  );
});
