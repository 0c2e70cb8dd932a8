import { newSensor, type Sensor } from '@lettura/contract';
import { MPX4250A, curveOf, type SensorProfile } from '@lettura/core/measure/transfer';
import { beforeEach, expect, test, vi } from 'vitest';
import { fakeStorage } from '../../testStorage.ts';
import { emptySensor, readSensorText, sensorDraft, type SensorText } from './sensorText.ts';
import { textOfSensor } from './textOfSensor.ts';

beforeEach(() => vi.stubGlobal('localStorage', fakeStorage()));
const text = (over: Partial<SensorText> = {}): SensorText => ({
  ...emptySensor('kPa'),
  name: 'Workshop sensor',
  source: 'known-good part',
  points: '20 0.25\n100 2.25\n180 4.25',
  ...over,
});
const size = (over: string): SensorText['tolerance'] => ({ ...emptySensor('kPa').tolerance, size: over });

test('points on 25 mV a kPa make a ratiometric sensor of 0.005 a kPa at 5 V', () => {
  const { sensor, problems } = readSensorText(text());
  expect(problems).toEqual({});
  expect(sensor?.profile).toMatchObject({
    lowest: 20,
    highest: 180,
    tolerance: { form: 'plus-minus', plusMinus: 2 },
    differenceThatMatters: 4, // twice the tolerance
  });
  expect(sensor?.profile.transfer).toMatchObject({ form: 'ratiometric' });
  if (sensor?.profile.transfer.form === 'ratiometric')
    expect(sensor.profile.transfer.sharePerUnit).toBeCloseTo(0.005, 12);
});

test.each([
  [{ name: ' ' }, 'name', 'Give the sensor a name'],
  [{ name: '<b>MAP</b>' }, 'name', 'plain words'],
  [{ source: '' }, 'source', 'where the points come from'],
  [{ points: '20 0.25\n60 x' }, 'points', 'Line 2'],
  [{ points: '20 0.25' }, 'points', 'no slope'],
  [{ points: '20 1\n60 3\n60 2', form: 'table' }, 'points', 'stands in two points'],
  [{ points: '20 1\n60 3\n90 2\n95 2.5\n99 1.5', form: 'polynomial' }, 'points', 'turns round'],
  [{ form: 'hot-element' }, 'points', 'four different flows'],
  [{ reference: 'five' }, 'reference', '3 to 16'],
  [{ tolerance: size('') }, 'tolerance', 'maker’s limits'],
  [{ tolerance: size('-2') }, 'tolerance', 'maker’s limits'],
  [{ matters: 'much' }, 'matters', 'change a decision'],
  [{ circuitHigh: '0.1' }, 'circuitHigh', 'above the circuit-low limit'],
  [
    {
      pins: [
        { terminal: '1', wire: 'signal', colour: '' },
        { terminal: '1', wire: 'return', colour: '' },
      ],
    },
    'pins',
    'same terminal',
  ],
] as const)('%j is told at the field %s', (over, field, message) => {
  const { sensor, problems } = readSensorText(text(over as Partial<SensorText>));
  expect(sensor).toBeUndefined();
  expect(problems[field]).toContain(message);
});

test('the curve is drawn before the sensor has a name', () => {
  const { profile, sensor } = readSensorText(text({ name: '', source: '' }));
  expect(sensor).toBeUndefined();
  expect(profile).toMatchObject({ lowest: 20, highest: 180 });
});

test('an empty form says at once what is missing, and half a form survives the page', () => {
  const { problems } = readSensorText(text({ name: '', source: '', points: '' }));
  expect(Object.keys(problems).sort()).toEqual(['name', 'points', 'source']);
  const draft = sensorDraft('new');
  draft.save(text({ name: 'half' }));
  expect(draft.load()?.name).toBe('half');
  expect(sensorDraft('other').load()).toBeNull();
  draft.clear();
  expect(draft.load()).toBeNull();
});

const PROFILES: Record<string, SensorProfile> = {
  ratiometric: MPX4250A,
  'hot-element': {
    ...MPX4250A,
    measures: 'air-flow',
    transfer: { form: 'hot-element', a: 0.9, b: 0.95, n: 0.52 },
    lowest: 0,
    highest: 300,
    tolerance: { form: 'of-value', percent: 4, atLeast: 0.2 },
  },
  polynomial: {
    ...MPX4250A,
    measures: 'angle',
    transfer: {
      form: 'polynomial',
      coefficients: [-4.2, 14, 1.6],
      fromVolts: 0.3,
      toVolts: 4.7,
      ratiometric: true,
    },
    lowest: 1,
    highest: 95,
    tolerance: { form: 'of-span', percent: 2 },
  },
  telegram: {
    ...MPX4250A,
    measures: 'gauge-pressure',
    transfer: { form: 'telegrams', low: { step: 193, value: 0 }, high: { step: 3896, value: 180_000 } },
    lowest: 0,
    highest: 180_000,
    tolerance: { form: 'of-span', percent: 2 },
    differenceThatMatters: 6000,
  },
};

test.each(Object.entries(PROFILES))(
  'a %s sensor opened in its form is the same sensor, in any unit',
  (_form, profile) => {
    const sensor: Sensor = {
      ...newSensor.parse({
        id: '01935a00-0000-7000-8000-000000000001',
        name: 'Other pressure sensor',
        family: 'other',
        source: 'test',
        profile,
        companion: {
          kind: 'temperature',
          thermistor: { law: 'steinhart-hart', a: 1.129241e-3, b: 2.341077e-4, c: 8.775468e-8 },
          pullUpOhms: 2200,
        },
      }),
      lineageId: '01935a00-0000-7000-8000-000000000001',
      version: 1,
    };
    const opened = textOfSensor(sensor, 'inHg');
    const untouched = readSensorText(opened, { sensor, text: opened });
    expect(untouched.problems).toEqual({});
    expect(untouched.sensor?.profile.transfer).toEqual(profile.transfer);
    expect(untouched.sensor?.profile.lowest).toBe(profile.lowest);
    expect(untouched.sensor?.companion).toEqual(sensor.companion);
    // Fitted again from its own points it is the same curve, to a millivolt.
    const fitted = readSensorText(opened).profile;
    if (!fitted) throw new Error('no curve');
    const middle = (profile.lowest + profile.highest) / 2;
    expect(curveOf(fitted, 5).voltsAt(middle)).toBeCloseTo(curveOf(profile, 5).voltsAt(middle), 3);
  },
);

test('a form begun in one unit stays in it, whatever the screen shows since', () => {
  const begun = text({ unit: 'psi', points: '3 0.5\n15 4.5' });
  const { profile } = readSensorText(begun);
  expect(profile?.highest).toBeCloseTo(15 * 6.894757, 3);
  expect(profile?.tolerance).toMatchObject({ form: 'plus-minus' });
  if (profile?.tolerance.form === 'plus-minus') expect(profile.tolerance.plusMinus).toBeCloseTo(13.79, 2); // 2 psi
});
