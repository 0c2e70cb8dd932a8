import { CAUSE_IDS } from '@lettura/core/reasoning';
import { SHARED } from './testRecord.ts';
import { expect, test } from 'vitest';
import {
  caseFileOf,
  endpoints,
  newJob,
  newReading,
  newVerdict,
  openApi,
  sensorProfile,
  standingReadings,
  type Reading,
} from './index.ts';

const { jobId, uuid, wire, withdrawal, ambient, profile } = SHARED;

test('a replaced reading and a withdrawn one no longer stand; the correction does', () => {
  const first = wire(1, { volts: 2 });
  const corrected = wire(2, { volts: 3, supersedes: first.id });
  const slip = wire(3, { volts: 9 });
  expect(standingReadings([first, corrected, slip, withdrawal(4, slip.id)]).map(({ id }) => id)).toEqual([
    corrected.id,
  ]);
});

test('a reading put back after a withdrawal stands again, and in its own time', () => {
  const first = wire(1, { takenAt: '2026-11-24T08:00:00.000Z' });
  const later = wire(2, { takenAt: '2026-11-24T09:00:00.000Z' });
  const back = wire(4, { takenAt: first.takenAt, supersedes: withdrawal(3, first.id).id });
  const standing = standingReadings([first, later, withdrawal(3, first.id), back]);
  expect(standing.map(({ id }) => id)).toEqual([back.id, later.id]);
});

test('the newest ambient pressure of a job is the one that counts', () => {
  const readings: Reading[] = [
    ambient(1, { source: 'altitude', altitudeM: 0 }),
    ambient(2, { source: 'barometer', stationKpaAbs: 98.7 }),
  ];
  const caseFile = caseFileOf({ readings, sensor: { profile } }, 'kPa');
  expect(caseFile.ambient).toMatchObject({ pressureKpaAbs: 98.7, source: 'barometer' });
  expect(caseFile.readings).toEqual([]);
  expect(
    caseFileOf({ readings: [...readings, withdrawal(3, uuid(2))], sensor: { profile } }, 'kPa').ambient
      ?.source,
  ).toBe('altitude');
});

test.each([
  ['a voltage past any meter', { volts: 61 }],
  ['a number that is none', { volts: NaN }],
  ['a wire that is not there', { lane: 'battery' }],
  ['a field too many', { colour: 'red' }],
  ['an id of another version', { id: '0e37df36-f698-11e6-8dd4-cb9ced3df976' }],
  ['a time that is none', { takenAt: 'yesterday' }],
])('%s is no reading', (_what, over) => {
  expect(newReading.safeParse({ ...wire(1), ...over }).success).toBe(false);
  expect(newReading.safeParse(wire(1)).success).toBe(true);
});

test.each([
  ['a range upside down', { lowestKpaAbs: 250, highestKpaAbs: 20 }],
  ['limits upside down', { circuitLowVolts: 4.9, circuitHighVolts: 0.1 }],
  ['a signal that does not move', { transfer: { form: 'ratiometric', sharePerKpa: 0, shareAtZero: 0 } }],
  [
    'two points that are one',
    { transfer: { form: 'linear', low: { volts: 1, kpaAbs: 20 }, high: { volts: 1, kpaAbs: 90 } } },
  ],
  ['no tolerance', { toleranceKpa: 0 }],
])('%s is no sensor', (_what, over) => {
  expect(sensorProfile.safeParse({ ...profile, ...over }).success).toBe(false);
});

test('codes are written in capitals and must look like codes', () => {
  const job = {
    id: uuid(1),
    vehicleId: uuid(2),
    sensorId: uuid(3),
    complaint: 'stalls',
    history: '',
    openedAt: '2026-11-24T08:00:00Z',
  };
  expect(newJob.parse({ ...job, codes: ['p0107 '] }).codes).toEqual(['P0107']);
  expect(newJob.safeParse({ ...job, codes: ['P01'] }).success).toBe(false);
});

test('every cause of the reasoning can be recorded as a verdict, and nothing else', () => {
  const verdict = { id: uuid(1), jobId, decidedAt: '2026-11-24T08:00:00Z', note: '' };
  for (const cause of [...CAUSE_IDS, 'not-proven'])
    expect(newVerdict.safeParse({ ...verdict, cause }).success).toBe(true);
  expect(newVerdict.safeParse({ ...verdict, cause: 'gremlins' }).success).toBe(false);
});

test('the OpenAPI description has one operation for every endpoint', () => {
  const operations = Object.values(openApi().paths).flatMap(
    (path) => Object.values(path) as { operationId: string }[],
  );
  expect(operations.map(({ operationId }) => operationId).sort()).toEqual(Object.keys(endpoints).sort());
});
