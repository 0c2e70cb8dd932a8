import { newSensor, readSensorFile, sensorFileOf, type Sensor } from '@lettura/contract';
import { FAMILY_IDS } from '@lettura/core/machine/family';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { testServer } from '../testServer.ts';
import { SHIPPED_SENSORS } from './shippedSensors.ts';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const base = () => ({ ...SHIPPED_SENSORS.find(({ name }) => name.startsWith('Tern 2-bar'))!, id: v7() });
const list = async () => (await server.call('GET', '/sensors')).body as Sensor[];

test('ships at least 16 invented sensors over all families, and four published data sheets', async () => {
  const sensors = await list();
  expect(sensors.filter(({ source }) => source.startsWith('Invented')).length).toBeGreaterThanOrEqual(16);
  expect(sensors.filter(({ source }) => source.startsWith('Published'))).toHaveLength(4);
  expect([...new Set(sensors.map(({ family }) => family))].sort()).toEqual([...FAMILY_IDS].sort());
});

test('the readings with a sensor are found over its versions, without practice and deleted jobs', async () => {
  const first = base();
  await server.call('POST', '/sensors', first);
  const next = { ...first, id: v7(), replaces: first.id, notes: 'again' };
  expect((await server.call('POST', '/sensors', next)).status).toBe(201);
  const vehicleId = v7();
  await server.call('POST', '/vehicles', { id: vehicleId, name: 'Quill 1.4 pool car' });
  const open = async (sensorId: string, over: object = {}) => {
    const job = {
      id: v7(),
      vehicleId,
      sensorId,
      complaint: 'stalls',
      codes: [],
      history: '',
      openedAt: new Date().toISOString(),
      ...over,
    };
    expect((await server.call('POST', '/jobs', job)).status).toBe(201);
    return job.id;
  };
  const kept = [await open(first.id), await open(next.id)];
  await open(next.id, { bench: { caseLetter: 'A', seed: 1 } });
  await server.call('DELETE', `/jobs/${await open(first.id)}`);
  for (const id of [first.id, next.id]) {
    const { body } = await server.call('GET', `/sensors/${id}/jobs`);
    expect(body.sensor.id).toBe(id);
    expect(body.jobsInAll).toBe(2);
    expect(body.jobs.map((sheet: { job: { id: string } }) => sheet.job.id).sort()).toEqual([...kept].sort());
  }
  expect((await server.call('GET', `/sensors/${v7()}/jobs`)).status).toBe(404);
});

test('a changed sensor is a new version: the list has the new one, a job keeps the old', async () => {
  const first = base();
  await server.call('POST', '/sensors', first);
  const vehicleId = v7();
  await server.call('POST', '/vehicles', {
    id: vehicleId,
    name: 'Quill 1.4 pool car',
    displacementLitres: 1.4,
  });
  const job = {
    id: v7(),
    vehicleId,
    sensorId: first.id,
    complaint: 'stalls',
    codes: [],
    history: '',
    openedAt: new Date().toISOString(),
    pins: [{ terminal: '7', wire: 'signal', colour: 'green' }],
  };
  expect((await server.call('POST', '/jobs', job)).status).toBe(201);

  const second = { ...first, id: v7(), name: 'Tern 2-bar, new curve', replaces: first.id };
  const saved = await server.call('POST', '/sensors', second);
  expect(saved).toMatchObject({ status: 201, body: { version: 2, lineageId: first.id } });
  expect((await server.call('POST', '/sensors', second)).status).toBe(200); // repeated, unchanged

  const ids = (await list()).map(({ id }) => id);
  expect(ids).toContain(second.id);
  expect(ids).not.toContain(first.id);
  const sheet = (await server.call('GET', `/jobs/${job.id}`)).body;
  expect(sheet.sensor).toMatchObject({ id: first.id, version: 1, name: first.name });
  expect(sheet.job.pins).toEqual(job.pins);
  expect(sheet.vehicle.displacementLitres).toBe(1.4);
  const versions = (await server.call('GET', `/sensors/${first.id}`)).body;
  expect(versions.map(({ version }: Sensor) => version)).toEqual([2, 1]);

  const late = await server.call('POST', '/sensors', { ...second, id: v7(), name: 'A third hand' });
  expect(late).toMatchObject({ status: 409, body: { type: 'urn:lettura:problem:changed-elsewhere' } });
  const nowhere = await server.call('POST', '/sensors', { ...second, id: v7(), replaces: v7() });
  expect(nowhere.status).toBe(422);
});

test('everything exported can be read again, and imported twice adds nothing', async () => {
  const sensors = await list();
  const read = readSensorFile(JSON.stringify(sensorFileOf(sensors)));
  if (!read.ok) throw new Error(read.problem.code);
  expect(await server.call('POST', '/sensors/import', read.value)).toMatchObject({
    status: 200,
    body: { added: 0, known: sensors.length },
  });
  const fresh = { ...read.value, sensors: [base(), base()] };
  expect((await server.call('POST', '/sensors/import', fresh)).body).toEqual({ added: 2, known: 0 });
  expect((await server.call('POST', '/sensors/import', fresh)).body).toEqual({ added: 0, known: 2 });
});

test('one sensor under a taken id refuses the whole file', async () => {
  const before = (await list()).length;
  const stranger = { ...base(), id: SHIPPED_SENSORS[0]!.id };
  const answer = await server.call('POST', '/sensors/import', {
    format: 'lettura-sensors',
    version: 1,
    sensors: [base(), stranger],
  });
  expect(answer).toMatchObject({ status: 409 });
  expect(answer.body.detail).toContain('Sensor 2');
  expect(await list()).toHaveLength(before);
});

test('a table of 10,000 points goes in and comes back', async () => {
  const points = Array.from({ length: 10_000 }, (_, i) => ({ volts: 0.5 + i * 4e-4, value: 20 + i * 0.018 }));
  const big = newSensor.parse({
    ...base(),
    profile: { ...base().profile, transfer: { form: 'table', points, ratiometric: false } },
  });
  expect((await server.call('POST', '/sensors', big)).status).toBe(201);
  const [back] = (await server.call('GET', `/sensors/${big.id}`)).body;
  expect(back.profile.transfer.points).toHaveLength(10_000);
});

test('the schema of the file is published, made from what is checked', async () => {
  const { body } = await server.call('GET', '/schemas/sensors.json');
  expect(body.$schema).toContain('2020-12');
  expect(JSON.stringify(body)).toContain('hot-element');
});
