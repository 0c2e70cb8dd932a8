import { beforeEach, expect, test, vi } from 'vitest';
import { fakeStorage } from '../../testStorage.ts';
import { readSensorText, sensorDraft, type SensorText } from './sensorText.ts';

beforeEach(() => vi.stubGlobal('localStorage', fakeStorage()));
const text = (over: Partial<SensorText> = {}): SensorText => ({
  ...sensorDraft.load(),
  name: 'Workshop sensor',
  source: 'known-good part',
  points: '20 0.25\n100 2.25\n180 4.25',
  ...over,
});

test('points on 25 mV a kPa make a ratiometric sensor of 0.005 a kPa at 5 V', () => {
  const { sensor, problems } = readSensorText(text(), 'kPa');
  expect(problems).toEqual({});
  expect(sensor?.profile).toMatchObject({ lowestKpaAbs: 20, highestKpaAbs: 180, toleranceKpa: 2 });
  expect(sensor?.profile.transfer).toMatchObject({ form: 'ratiometric' });
  if (sensor?.profile.transfer.form === 'ratiometric')
    expect(sensor.profile.transfer.sharePerKpa).toBeCloseTo(0.005, 12);
});

test.each([
  [{ name: ' ' }, 'name', 'Give the sensor a name'],
  [{ source: '' }, 'source', 'where the points come from'],
  [{ points: '20 0.25\n60 x' }, 'points', 'Line 2'],
  [{ points: '20 0.25' }, 'points', 'no slope'],
  [{ points: '20 1\n60 3\n90 2', form: 'table' }, 'points', 'turn round'],
  [{ reference: 'five' }, 'reference', '3 to 16'],
  [{ tolerance: '' }, 'tolerance', 'maker’s limits'],
  [{ tolerance: '-2' }, 'tolerance', 'maker’s limits'],
  [{ circuitHigh: '0.1' }, 'circuitHigh', 'above the circuit-low limit'],
] as const)('%j is told at the field %s', (over, field, message) => {
  const { sensor, problems } = readSensorText(text(over), 'kPa');
  expect(sensor).toBeUndefined();
  expect(problems[field]).toContain(message);
});

test('the curve is drawn before the sensor has a name', () => {
  const { profile, sensor } = readSensorText(text({ name: '', source: '' }), 'kPa');
  expect(sensor).toBeUndefined();
  expect(profile).toMatchObject({ lowestKpaAbs: 20, highestKpaAbs: 180 });
});

test('an empty form says at once what is missing, and half a form survives the page', () => {
  const { problems } = readSensorText(text({ name: '', source: '', points: '' }), 'kPa');
  expect(Object.keys(problems).sort()).toEqual(['name', 'points', 'source']);
  sensorDraft.save(text({ name: 'half' }));
  expect(sensorDraft.load().name).toBe('half');
});
