import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
  ambientFrom,
  formatPressure,
  fromKpa,
  fromKpaAbs,
  PRESSURE_BASES,
  PRESSURE_UNITS,
  standardPressureKpaAbs,
  stationPressureKpaAbs,
  toKpa,
  toKpaAbs,
  formatFine,
  formatValue,
  formatWithBasis,
  MEASURAND_NAMES,
} from './index.ts';

// NIST SP 811 (2008), Appendix B.8: factors to pascal, as printed.
test.each([
  ['psi', 6.894757, 6],
  ['inHg', 3.386389, 6],
  ['mmHg', 0.1333224, 7],
  ['inH2O', 0.2490889, 7],
  ['mmH2O', 0.00980665, 8],
  ['kgf/cm²', 98.0665, 4],
  ['bar', 100, 9],
  ['mbar', 0.1, 9],
  ['hPa', 0.1, 9],
  ['MPa', 1000, 9],
] as const)('1 %s is %d kPa: NIST SP 811, B.8', (unit, kpa, printedDigits) => {
  expect(toKpa(1, unit)).toBeCloseTo(kpa, printedDigits);
});

// US Standard Atmosphere 1976, Table I, geometric altitude, in hPa as printed there.
test.each([
  [0, 1013.25],
  [500, 954.61],
  [1000, 898.76],
  [1500, 845.59],
  [2000, 795.01],
  [3000, 701.21],
  [4000, 616.6],
  [5000, 540.48],
])('at %d m the standard atmosphere has %d hPa: US Standard Atmosphere 1976, Table I', (altitudeM, hpa) => {
  expect(Math.abs(standardPressureKpaAbs(altitudeM) * 10 - hpa) / hpa).toBeLessThan(1e-4);
});

test('a report reduced to sea level gives the station pressure of the standard day when it reads 101.325 kPa', () => {
  expect(stationPressureKpaAbs(101.325, 1200)).toBeCloseTo(standardPressureKpaAbs(1200), 9);
});

test('a report reduced to sea level is not used raw: 102.0 kPa at 250 m is about 99.0 kPa at the station', () => {
  // Hand calculation: the standard column between 0 and 250 m is 2.969 kPa; scaled with the report, about 2.99.
  const ambient = ambientFrom({ source: 'weather', seaLevelKpa: 102, altitudeM: 250 });
  expect(ambient.ok && ambient.value.pressureKpaAbs).toBeCloseTo(99.02, 1);
});

test('an ambient that no road has is refused with what to do', () => {
  expect(ambientFrom({ source: 'barometer', stationKpaAbs: 29.92 })).toMatchObject({
    ok: false,
    problem: { code: 'ambient-implausible' },
  });
  expect(ambientFrom({ source: 'altitude', altitudeM: 12_000 })).toMatchObject({
    ok: false,
    problem: { code: 'altitude-out-of-range' },
  });
  expect(ambientFrom({ source: 'altitude', altitudeM: NaN })).toMatchObject({ ok: false });
});

test('9 inHg absolute and 17 inHg of vacuum are one pressure at an ambient of 26 inHg, not "9 against 17"', () => {
  const vacuum = toKpaAbs({ pressureKpa: toKpa(17, 'inHg'), basis: 'vacuum' }, toKpa(26, 'inHg'));
  expect(vacuum.ok && fromKpa(vacuum.value, 'inHg')).toBeCloseTo(9, 9);
});

test('more vacuum than there is air is refused', () => {
  expect(toKpaAbs({ pressureKpa: 105, basis: 'vacuum' }, 100)).toMatchObject({
    ok: false,
    problem: { code: 'below-absolute-zero' },
  });
});

test('every unit and every basis round-trips', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 400, noNaN: true }),
      fc.constantFrom(...PRESSURE_UNITS),
      fc.constantFrom(...PRESSURE_BASES),
      (kpaAbs, unit, basis) => {
        const shown = fromKpa(fromKpaAbs(kpaAbs, basis, 98.7), unit);
        const back = toKpaAbs({ pressureKpa: toKpa(shown, unit), basis }, 98.7);
        // Rounding may leave a whisker below absolute zero at exactly 0 kPa: then nothing is claimed.
        return back.ok ? Math.abs(back.value - kpaAbs) < 1e-9 : kpaAbs < 1e-9;
      },
    ),
  );
});

test('a shown pressure keeps about a tenth of a kilopascal, whatever the unit', () => {
  expect(formatPressure(70.606, 'kPa')).toBe('70.6 kPa');
  expect(formatPressure(70.606, 'inHg')).toBe('20.85 inHg');
  expect(formatPressure(70.606, 'mbar')).toBe('706 mbar');
  // A rail at work: no gauge shows a tenth of a kPa there.
  expect(formatPressure(60_000, 'kPa')).toBe('60000 kPa');
  expect(formatPressure(60_000, 'bar')).toBe('600.000 bar');
});

test.each([NaN, Infinity, -Infinity])('%d is a dash on the screen, in every quantity', (value) => {
  expect(formatPressure(value, 'kPa')).toBe('–');
  for (const measures of MEASURAND_NAMES) {
    expect(formatValue(value, measures, 'psi')).toBe('–');
    expect(formatFine(value, measures, 'psi')).toBe('–');
    expect(formatWithBasis(value, measures, 'psi')).toMatch(/^–/u);
  }
});

test.each([
  [47, 'absolute-pressure', '47.0 kPa abs'],
  [-3.25, 'gauge-pressure', '-3.3 kPa gauge'],
  [12.5, 'differential-pressure', '12.5 kPa diff'],
  [99, 'position', '99.0 %'],
  [30, 'angle', '30.0 °'],
  [2.6, 'air-flow', '2.60 g/s'],
] as const)('%d of %s is shown as %s', (value, measures, shown) => {
  expect(formatWithBasis(value, measures, 'kPa')).toBe(shown);
});
