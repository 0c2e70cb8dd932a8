import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
  ambientIsStale,
  fromGramsPerSecond,
  fromKelvin,
  MASS_FLOW_UNITS,
  PRESSURE_UNITS,
  TEMPERATURE_UNITS,
  toGramsPerSecond,
  toKelvin,
  toKpa,
  type MassFlowUnit,
  type PressureUnit,
} from './index.ts';
import gnuUnits from './reference/gnuUnits.json' with { type: 'json' };

const factors = new Map(Object.entries(gnuUnits));

/** GNU units has the conventional column; real water at a temperature is checked against SP 811 beside it. */
const known = PRESSURE_UNITS.filter((unit) => !unit.includes('('));

test.each([...known, ...MASS_FLOW_UNITS])('1 %s is what GNU units 2.22 makes of it', (unit) => {
  const reference = factors.get(unit) ?? NaN;
  const own = PRESSURE_UNITS.includes(unit as PressureUnit)
    ? toKpa(1, unit as PressureUnit)
    : toGramsPerSecond(1, unit as MassFlowUnit);
  expect(Math.abs(own / reference - 1)).toBeLessThan(1e-10); // the script prints twelve digits
});

// NIST SP 811, B.9 and the fixed points: ice and steam.
test.each([
  [0, '°C', 273.15],
  [32, '°F', 273.15],
  [212, '°F', 373.15],
  [-40, '°F', 233.15],
  [300, 'K', 300],
] as const)('%d %s is %d K', (value, unit, kelvin) => {
  expect(toKelvin(value, unit)).toBeCloseTo(kelvin, 9);
});

test('every flow and temperature unit round-trips', () => {
  fc.assert(
    fc.property(fc.double({ min: -200, max: 900, noNaN: true }), (value) => {
      for (const unit of MASS_FLOW_UNITS)
        expect(fromGramsPerSecond(toGramsPerSecond(value, unit), unit)).toBeCloseTo(value, 9);
      for (const unit of TEMPERATURE_UNITS)
        expect(fromKelvin(toKelvin(value, unit), unit)).toBeCloseTo(value, 9);
    }),
  );
});

test('a barometer of half a day ago is questioned, an altitude never', () => {
  const hours = (n: number) => n * 3_600_000;
  expect(ambientIsStale('barometer', hours(3))).toBe(false);
  expect(ambientIsStale('barometer', hours(72))).toBe(true);
  expect(ambientIsStale('weather', hours(13))).toBe(true);
  expect(ambientIsStale('altitude', hours(1000))).toBe(false);
});
