import { expect, test } from 'vitest';
import {
  oneNumber,
  parseAltitude,
  parseReading,
  seaLevelPressureKpa,
  stationPressureKpaAbs,
  toKpa,
} from './index.ts';
import { coded } from '../message/coded.ts';

const metres = (text: string) => {
  const read = parseAltitude(text);
  return read.ok ? read.value : read.problem.code;
};

test.each([
  ['1200', 1200],
  ['1200 m', 1200],
  ['-3', -3],
  ['−3 m', -3],
  ['12,5', 12.5],
  ['3937 ft', 1199.9976],
  ['4,265 ft', 'two-readings'],
  ['1,300', 'two-readings'],
  ['1.300', 'two-readings'],
  ['5 280 ft', 'not-a-number'],
  ['9000', 'altitude-out-of-range'],
  ['30000 ft', 'altitude-out-of-range'],
  ['', 'not-a-number'],
  ['high up', 'not-a-number'],
] as const)('an altitude of “%s” is %s', (text, expected) => {
  const read = metres(text);
  if (typeof expected === 'number') expect(read).toBeCloseTo(expected, 4);
  else expect(read).toBe(expected);
});

test('what can be read two ways is asked only where the place takes both', () => {
  expect(coded(oneNumber('1,300', (value) => value < 2000))).toMatchObject({
    problem: { message: 'quantity.can-read{digits: “1,300”, decimal: 1.3, whole: 1300}' },
  });
  expect(oneNumber('2.310', (value) => value < 60)).toEqual({ ok: true, value: 2.31 });
  expect(oneNumber('1,500', (value) => value > 50)).toEqual({ ok: true, value: 1500 });
  expect(oneNumber('0,500', () => true)).toEqual({ ok: true, value: 0.5 });
  expect(parseReading('1,013', 'mbar')).toMatchObject({ problem: { code: 'two-readings' } });
  expect(parseReading('2,310', 'V')).toMatchObject({ value: { value: 2.31 } });
});

// ICAO Doc 7488, from memory: a QNH of 1013.25 hPa is 954.61 hPa at 500 m and 898.76 hPa at 1000 m.
test.each([
  [95.461, 500],
  [89.876, 1000],
])('%d kPa at %d m reduces to 101.325 kPa at sea level, and back', (station, altitude) => {
  expect(seaLevelPressureKpa(station, altitude)).toBeCloseTo(101.325, 2);
  expect(stationPressureKpaAbs(seaLevelPressureKpa(97.3, altitude), altitude)).toBeCloseTo(97.3, 9);
});

// NIST SP 811 (2008), B.8: inch of water (39.2 °F) 2.490 82 E+02 Pa, (60 °F) 2.4884 E+02 Pa.
test.each([
  ['Pa', 1, 6],
  ['inH2O (4 °C)', 249.082, 3],
  ['inH2O (60 °F)', 248.84, 2],
] as const)('1 %s is %d Pa', (unit, pascal, digits) => {
  expect(toKpa(1, unit) * 1000).toBeCloseTo(pascal, digits);
});

test('a unit with its temperature is understood as it is written', () => {
  expect(parseReading('10 inH2O (60 °F)', 'kPa')).toMatchObject({ ok: true });
  expect(parseReading('300 Pa', 'kPa')).toMatchObject({ value: { value: 0.3 } });
});
