import { deflateRawSync } from 'node:zlib';
import { MOST_FORMER } from '@lettura/contract';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { SHIPPED_SENSORS } from '../sensors/shippedSensors.ts';
import { testServer } from '../testServer.ts';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const sensor = (name: string) => SHIPPED_SENSORS.find((one) => one.name.startsWith(name))!;
const [first, sibling, pedal] = [sensor('Fenlight EF-1'), sensor('Fenlight EF-2'), sensor('Larch AP-2')];
const now = () => new Date().toISOString();

async function machine(name: string): Promise<string> {
  const id = v7();
  await server.call('POST', '/vehicles', { id, name });
  return id;
}
async function openJob(over: object = {}) {
  const job = {
    id: v7(),
    vehicleId: await machine('Quill 1.4 pool car'),
    sensorId: first.id,
    complaint: 'stalls when warm',
    codes: [],
    history: '',
    openedAt: now(),
    ...over,
  };
  expect((await server.call('POST', '/jobs', job)).status).toBe(201);
  return job;
}
const read = (jobId: string, over: object) =>
  server.call('POST', `/jobs/${jobId}/readings`, {
    id: v7(),
    jobId,
    kind: 'wire',
    state: { engine: 'koeo', plug: 'connected' },
    lane: 'signal',
    place: 'plug',
    volts: 1.02,
    takenAt: now(),
    enteredText: 'sig plug 1.02',
    ...over,
  });
const say = (jobId: string, change: object) => server.call('PUT', `/jobs/${jobId}/subject`, change);
const sheetOf = async (jobId: string) =>
  (await server.call('GET', `/jobs/${jobId}`)).body as Record<string, any>;

test('a job moves to the sibling of its sensor and to another machine; both stay noted, and what was read stays', async () => {
  const job = await openJob();
  await read(job.id, {});
  expect((await say(job.id, { sensorId: sibling.id, revision: 1 })).status).toBe(200);
  const other = await machine('Quill 1.4 of the neighbour');
  expect((await say(job.id, { vehicleId: other, revision: 2 })).status).toBe(200);
  const sheet = await sheetOf(job.id);
  expect(sheet.sensor.id).toBe(sibling.id);
  expect(sheet.vehicle.id).toBe(other);
  expect(sheet.readings).toHaveLength(1);
  expect(sheet.job).toMatchObject({
    revision: 3,
    formerly: [
      { what: 'sensor', id: first.id, name: first.name },
      { what: 'machine', id: job.vehicleId, name: 'Quill 1.4 pool car' },
    ],
  });
  // Asked for once more it is as it was said, and nothing is noted twice.
  expect((await say(job.id, { vehicleId: other, sensorId: sibling.id, revision: 3 })).body.revision).toBe(3);
});

test('readings of wires that the other sensor lacks are named, and keep the job where it is', async () => {
  const job = await openJob({ sensorId: pedal.id });
  await read(job.id, {});
  await read(job.id, { lane: 'second-signal', enteredText: 'sig2 plug 0.51', volts: 0.51 });
  await read(job.id, {
    kind: 'scan',
    lane: undefined,
    place: undefined,
    volts: undefined,
    measures: 'position',
    value: 12,
    enteredText: 'scan 12',
  });
  const refused = await say(job.id, { sensorId: first.id, revision: 1 });
  expect(refused).toMatchObject({ status: 422, body: { type: 'urn:lettura:problem:sensor-does-not-fit' } });
  expect(refused.body.detail).toContain('2 readings of this job (sig2 plug 0.51, scan 12)');
  expect((await sheetOf(job.id)).sensor.id).toBe(pedal.id);
});

test('a gauge and a hand pump are nothing for a pedal, and a recording was looked through for its own sensor', async () => {
  const pumped = await openJob();
  await read(pumped.id, {
    state: { engine: 'koeo', plug: 'connected', stimulus: { kind: 'pump', kpaAboveAmbient: 5 } },
  });
  await read(pumped.id, {
    kind: 'gauge',
    lane: undefined,
    place: undefined,
    volts: undefined,
    tap: 'manifold',
    pressureKpa: 4,
    basis: 'gauge',
  });
  expect((await say(pumped.id, { sensorId: pedal.id, revision: 1 })).body.detail).toContain('2 readings');
  expect((await say(pumped.id, { sensorId: sibling.id, revision: 1 })).status).toBe(200);
  const recorded = await openJob();
  const recording = (findings: readonly object[]) => ({
    id: v7(),
    jobId: recorded.id,
    name: 'idle',
    takenAt: now(),
    source: 'import',
    samples: 2,
    durationSeconds: 1,
    channels: [{ name: 'Signal', unit: 'V', use: 'signal' }],
    findings,
    marks: [],
    note: '',
    data: deflateRawSync(Buffer.from(Float64Array.of(0, 1, 2.5, 2.6).buffer)).toString('base64'),
  });
  const send = (findings: readonly object[]) =>
    server.call('POST', `/jobs/${recorded.id}/recordings`, recording(findings));
  const told = (kind: string, sentence: object) => ({
    kind,
    weight: 'note',
    sentence,
    channel: 0,
    fromSeconds: 0,
    untilSeconds: 1,
  });
  // A line that stands, stands whatever is on it.
  const name = { code: 'sweep.the-signal' };
  expect(
    (await send([told('line-held', { code: 'sweep.looked-for-telegrams', values: { name } })])).status,
  ).toBe(201);
  expect((await say(recorded.id, { sensorId: sibling.id, revision: 1 })).status).toBe(200);
  expect((await say(recorded.id, { sensorId: first.id, revision: 2 })).status).toBe(200);
  expect((await send([told('travel', name)])).status).toBe(201);
  expect((await say(recorded.id, { sensorId: sibling.id, revision: 3 })).body.detail).toContain(
    'a recording',
  );
});

test('what is not known, was changed meanwhile, is for practice or was deleted, is refused', async () => {
  const job = await openJob();
  expect((await say(job.id, { sensorId: v7(), revision: 1 })).body.type).toMatch(/unknown-reference$/u);
  expect((await say(job.id, { vehicleId: v7(), revision: 1 })).body.type).toMatch(/unknown-reference$/u);
  expect((await say(job.id, { sensorId: sibling.id, revision: 9 })).status).toBe(409);
  expect((await say(job.id, { sensorId: sibling.id })).status).toBe(400);
  const practice = await openJob({ bench: { machineId: 'quill-14', caseLetter: 'A', seed: 7 } });
  expect((await say(practice.id, { sensorId: sibling.id, revision: 1 })).body.detail).toMatch(
    /practice job/u,
  );
  await server.call('DELETE', `/jobs/${job.id}`);
  expect((await say(job.id, { sensorId: sibling.id, revision: 1 })).status).toBe(410);
});

test('a job that was moved as often as can be noted stays where it is, and forgets none of them', async () => {
  const job = await openJob();
  for (let moved = 0; moved < MOST_FORMER; moved++)
    await say(job.id, { sensorId: (moved % 2 === 0 ? sibling : first).id, revision: moved + 1 });
  const refused = await say(job.id, { sensorId: sibling.id, revision: MOST_FORMER + 1 });
  expect(refused).toMatchObject({
    status: 422,
    body: {
      type: 'urn:lettura:problem:moved-too-often',
      detail: expect.stringContaining(`${MOST_FORMER} times`),
    },
  });
  expect((await sheetOf(job.id)).job.formerly).toHaveLength(MOST_FORMER);
});

test('saved as a file and taken in elsewhere, what the job was of before goes with it', async () => {
  const job = await openJob();
  await say(job.id, { sensorId: sibling.id, revision: 1 });
  const saved = await (await fetch(`${server.base}/jobs/${job.id}/file`)).text();
  const elsewhere = await testServer();
  try {
    const taken = await fetch(`${elsewhere.base}/job-files`, {
      method: 'POST',
      headers: { 'content-type': 'application/x-ndjson' },
      body: `${JSON.stringify(JSON.parse(saved))}\n`,
    });
    expect(taken.status).toBe(200);
    const there = (await elsewhere.call('GET', `/jobs/${job.id}`)).body;
    expect(there.job.formerly).toEqual((await sheetOf(job.id)).job.formerly);
    expect(await (await fetch(`${elsewhere.base}/jobs/${job.id}/file`)).text()).toBe(saved);
  } finally {
    await elsewhere.close();
  }
});
