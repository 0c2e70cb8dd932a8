import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { SHIPPED_SENSORS } from '../sensors/shippedSensors.ts';
import { testServer } from '../testServer.ts';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const meter = () => ({
  id: v7(),
  name: 'Bench meter 2',
  sort: 'meter',
  accuracy: { kind: 'meter', percentOfReading: 0.1, counts: 3, displayCounts: 50_000 },
  lowest: -1000,
  highest: 1000,
  calibratedOn: '2025-11-01',
  calibrationDue: '2026-11-01',
});

test('a reading keeps the accuracy it was taken with, whatever becomes of the instrument', async () => {
  const first = meter();
  expect((await server.call('POST', '/instruments', first)).status).toBe(201);
  const [vehicleId, jobId] = [v7(), v7()];
  await server.call('POST', '/vehicles', { id: vehicleId, name: 'Larch 1.6 crew van' });
  await server.call('POST', '/jobs', {
    id: jobId,
    vehicleId,
    sensorId: SHIPPED_SENSORS[2]!.id,
    complaint: 'stalls',
    codes: [],
    history: '',
    openedAt: new Date().toISOString(),
  });
  const reading = {
    id: v7(),
    jobId,
    takenAt: new Date().toISOString(),
    enteredText: '2.31',
    kind: 'wire',
    state: { engine: 'koeo', plug: 'connected', stimulus: { kind: 'pump', kpaAboveAmbient: -16.9 } },
    lane: 'signal',
    place: 'plug',
    volts: 2.31,
    instrumentId: first.id,
  };
  expect((await server.call('POST', `/jobs/${jobId}/readings`, reading)).status).toBe(201);
  const second = {
    ...first,
    id: v7(),
    accuracy: { ...first.accuracy, percentOfReading: 2 },
    replaces: first.id,
  };
  expect((await server.call('POST', '/instruments', second)).body).toMatchObject({ version: 2 });
  const sheet = (await server.call('GET', `/jobs/${jobId}`)).body;
  expect(sheet.readings).toEqual([reading]);
  expect(sheet.instruments).toMatchObject([{ id: first.id, accuracy: { percentOfReading: 0.1 } }]);
  const names = (await server.call('GET', '/instruments')).body.map(({ id }: { id: string }) => id);
  expect(names).toContain(second.id);
  expect(names).not.toContain(first.id);
});

test.each([
  ['a gauge with a meter’s accuracy', { sort: 'gauge' }, 'accuracy'],
  ['a range upside down', { lowest: 10, highest: -10 }, 'highest'],
  ['due before calibrated', { calibrationDue: '2024-01-01' }, 'calibrationDue'],
  ['a day that does not exist', { calibratedOn: '2026-02-30' }, 'calibratedOn'],
])('%s is refused at its field', async (_what, over, path) => {
  const answer = await server.call('POST', '/instruments', { ...meter(), ...over });
  expect(answer.status).toBe(400);
  expect(answer.body.errors.map((error: { path: string }) => error.path)).toContain(path);
});

test('a reading with an instrument that nobody knows is refused, with what to do', async () => {
  const [vehicleId, jobId] = [v7(), v7()];
  await server.call('POST', '/vehicles', { id: vehicleId, name: 'Larch 1.6 crew van' });
  await server.call('POST', '/jobs', {
    id: jobId,
    vehicleId,
    sensorId: SHIPPED_SENSORS[2]!.id,
    complaint: 'stalls',
    codes: [],
    history: '',
    openedAt: new Date().toISOString(),
  });
  const answer = await server.call('POST', `/jobs/${jobId}/readings`, {
    id: v7(),
    jobId,
    takenAt: new Date().toISOString(),
    enteredText: '2.31',
    kind: 'wire',
    state: { engine: 'koeo', plug: 'connected' },
    lane: 'signal',
    place: 'plug',
    volts: 2.31,
    instrumentId: v7(),
  });
  expect(answer).toMatchObject({ status: 422, body: { type: 'urn:lettura:problem:unknown-reference' } });
});
