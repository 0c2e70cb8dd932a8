import { expect, test } from 'vitest';
import { readAmbient, type AmbientText } from './index.ts';

const text = (over: Partial<AmbientText>): AmbientText => ({
  source: 'barometer',
  pressure: '',
  altitude: '',
  unit: 'kPa',
  air: '',
  ...over,
});

test('a barometer in any unit, an altitude, or a report with both', () => {
  expect(readAmbient(text({ pressure: '1009 mbar' }))).toMatchObject({
    value: { source: 'barometer', stationKpaAbs: 100.9 },
  });
  expect(readAmbient(text({ source: 'altitude', altitude: '1200 m' }))).toMatchObject({
    value: { altitudeM: 1200 },
  });
  expect(
    readAmbient(text({ source: 'weather', pressure: '1019', unit: 'hPa', altitude: '4' })),
  ).toMatchObject({
    value: { source: 'weather', seaLevelKpa: 101.9, altitudeM: 4 },
  });
});

test.each([
  [text({}), 'empty-reading'],
  [text({ pressure: 'low' }), 'not-a-number'],
  [text({ pressure: '29.9' }), 'ambient-implausible'],
  [text({ source: 'altitude', altitude: 'high up' }), 'not-a-number'],
  [text({ source: 'altitude', altitude: '9000' }), 'altitude-out-of-range'],
  [text({ source: 'weather', pressure: '1019', unit: 'hPa' }), 'not-a-number'],
  [text({ pressure: '100', air: 'warm' }), 'not-a-number'],
  [text({ pressure: '100', air: '95' }), 'not-a-number'],
])('%j is refused as %s', (given, code) => {
  const result = readAmbient(given);
  expect(result).toMatchObject({ ok: false, problem: { code } });
});

test('the vehicle’s own barometric value is a source of its own, and the air temperature may come with any', () => {
  expect(readAmbient(text({ source: 'vehicle', pressure: '99', air: '18,5 °C' }))).toMatchObject({
    value: { source: 'vehicle', stationKpaAbs: 99, airCelsius: 18.5 },
  });
});
