import journal from './db/migrations/meta/_journal.json' with { type: 'json' };
import { problemDetails } from '@lettura/contract';
import { poweredByItself } from '@lettura/core/judge/isolation';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { migrateToLatest } from './db/connect.ts';
import { seedDemo } from './demo/seedDemo.ts';
import { SHIPPED_SENSORS } from './sensors/shippedSensors.ts';
import { openTestJob, signalReading as wire } from './testJob.ts';
import { testServer } from './testServer.ts';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const now = () => new Date().toISOString();
const corvel = SHIPPED_SENSORS.find(({ name }) => name.startsWith('Corvel MS-3'))!;
const { family, profile } = corvel;

const openJob = (sensorId: string = corvel.id) => openTestJob(server, sensorId);
const record = (reading: { jobId: string; [field: string]: unknown }) =>
  server.call('POST', `/jobs/${reading.jobId}/readings`, reading);

test('health answers only with its database', async () => {
  expect((await server.call('GET', '/health')).body).toEqual({ status: 'ok', database: 'ok' });
});

test('a reading is recorded once, however often it is sent', async () => {
  const job = await openJob();
  const reading = wire(job.id);
  const answers = await Promise.all([record(reading), record(reading), record(reading)]);
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 200, 201]);
  const sheet = (await server.call('GET', `/jobs/${job.id}`)).body;
  expect(sheet.readings).toEqual([reading]);
});

test('a different reading under a taken id is refused, and the first one stands', async () => {
  const job = await openJob();
  const reading = wire(job.id);
  await record(reading);
  const other = await record({ ...reading, volts: 4 });
  expect(other).toMatchObject({ status: 409, body: { type: 'urn:lettura:problem:id-conflict' } });
  expect((await server.call('GET', `/jobs/${job.id}`)).body.readings[0].volts).toBe(2.31);
});

test('creating a vehicle, a sensor and a job twice changes nothing', async () => {
  const job = await openJob();
  expect((await server.call('POST', '/jobs', job)).status).toBe(200);
  const sensor = { ...corvel, id: v7(), name: 'Workshop sensor' };
  expect((await server.call('POST', '/sensors', sensor)).status).toBe(201);
  expect((await server.call('POST', '/sensors', sensor)).status).toBe(200);
});

test('a correction names what it replaces, and both stay on record', async () => {
  const job = await openJob();
  const first = wire(job.id);
  await record(first);
  const second = wire(job.id, { volts: 2.13, supersedes: first.id });
  await record(second);
  await record({
    id: v7(),
    jobId: job.id,
    kind: 'withdrawal',
    takenAt: now(),
    enteredText: '',
    supersedes: second.id,
  });
  expect((await server.call('GET', `/jobs/${job.id}`)).body.readings).toHaveLength(3);
  const elsewhere = await openJob();
  expect(await record(wire(elsewhere.id, { supersedes: first.id }))).toMatchObject({
    status: 422,
    body: { type: 'urn:lettura:problem:unknown-reference' },
  });
});

test('every kind of reading comes back as it was sent', async () => {
  const job = await openJob();
  const state = { engine: 'idle', plug: 'connected' };
  const common = { jobId: job.id, takenAt: now(), enteredText: 'x' };
  const readings = [
    { ...common, id: v7(), kind: 'gauge', state, tap: 'manifold', pressureKpa: 55.875, basis: 'vacuum' },
    { ...common, id: v7(), kind: 'scan', state, measures: 'absolute-pressure', value: 47 },
    {
      ...common,
      id: v7(),
      kind: 'ambient',
      ambient: { source: 'weather', seaLevelKpa: 101.9, altitudeM: 4 },
    },
    {
      ...common,
      id: v7(),
      kind: 'work',
      work: 'sensor-replaced',
      at: 'intake',
      newPart: 'RC-2B',
      note: 'dry',
    },
    ...[
      { what: 'codes', codes: [] },
      { what: 'codes', codes: ['P0107'] },
      { what: 'readiness', unfinished: ['boost', 'egr-vvt'] },
      { what: 'road-test', complaint: 'gone', loadPercent: 90, revsRpm: 3000, gear: '4', coolantCelsius: 90 },
    ].map((followUp) => ({ ...common, id: v7(), kind: 'follow-up', followUp })),
  ];
  for (const reading of readings) expect((await record(reading)).status).toBe(201);
  expect((await server.call('GET', `/jobs/${job.id}`)).body.readings).toEqual(readings);
});

test('a job says when it is to be looked at again, until it was or the day is taken back', async () => {
  const job = await openJob();
  const recheck = (onDate: string, over = {}) => ({
    id: v7(),
    jobId: job.id,
    kind: 'follow-up',
    takenAt: '2026-11-20T08:00:00.000Z',
    enteredText: onDate,
    followUp: { what: 'recheck', onDate },
    ...over,
  });
  const listed = async () =>
    ((await server.call('GET', '/jobs')).body as { job: { id: string }; recheckOn?: string }[]).find(
      (row) => row.job.id === job.id,
    )?.recheckOn;
  expect(await listed()).toBeUndefined();
  expect((await record(recheck('2026-13-05'))).status).toBe(400);
  const first = recheck('2026-12-05');
  await record(first);
  expect(await listed()).toBe('2026-12-05');
  const second = recheck('2026-12-12');
  await record(second);
  expect(await listed()).toBe('2026-12-12');
  // Taken back, the one before it stands again; corrected, the new day.
  await record({
    id: v7(),
    jobId: job.id,
    kind: 'withdrawal',
    takenAt: now(),
    enteredText: '',
    supersedes: second.id,
  });
  expect(await listed()).toBe('2026-12-05');
  await record(recheck('2026-12-09', { supersedes: first.id }));
  expect(await listed()).toBe('2026-12-09');
  await record(wire(job.id, { takenAt: '2026-12-08T23:59:00.000Z' }));
  expect(await listed()).toBe('2026-12-09');
  await record(wire(job.id, { takenAt: '2026-12-09T07:00:00.000Z' }));
  expect(await listed()).toBeUndefined();
});

test('the database itself refuses to change or delete a reading', async () => {
  const job = await openJob();
  await record(wire(job.id));
  await expect(server.pool.query('update reading set entered_text = kind')).rejects.toThrow('append-only');
  await expect(server.pool.query('delete from reading')).rejects.toThrow('append-only');
});

test('a reading on a deleted job is refused with what to do, and goes in once the job is restored', async () => {
  const job = await openJob();
  const reading = wire(job.id);
  await server.call('DELETE', `/jobs/${job.id}`);
  const refused = await record(reading);
  expect(refused).toMatchObject({ status: 410, body: { type: 'urn:lettura:problem:job-deleted' } });
  expect(refused.body.next).toContain('Restore');
  await server.call('POST', `/jobs/${job.id}/restore`);
  expect((await record(reading)).status).toBe(201);
});

test('a change made from an old revision is refused, so that nobody overwrites a colleague', async () => {
  const job = await openJob();
  const change = { complaint: 'stalls when wet', codes: ['p0107', 'P0108'], history: 'x', revision: 1 };
  const changed = await server.call('PUT', `/jobs/${job.id}/details`, change);
  expect(changed.body).toMatchObject({
    complaint: 'stalls when wet',
    codes: ['P0107', 'P0108'],
    revision: 2,
  });
  expect((await server.call('PUT', `/jobs/${job.id}/details`, change)).status).toBe(409);
});

test('no verdict on a sensor before its supply and return are proven; “not proven yet” is always allowed', async () => {
  const job = await openJob();
  const ambient = { source: 'barometer', stationKpaAbs: 100 };
  await record({
    id: v7(),
    jobId: job.id,
    kind: 'ambient',
    takenAt: now(),
    enteredText: '',
    ambient,
  });
  await record(wire(job.id, { volts: 2.2 }));
  await record(wire(job.id, { volts: 2.2, state: { engine: 'idle', plug: 'connected' } }));
  const verdict = (cause: string) => ({ id: v7(), jobId: job.id, decidedAt: now(), cause, note: '' });
  const path = `/jobs/${job.id}/verdicts`;
  const early = await server.call('POST', path, verdict('sensor'));
  expect(early).toMatchObject({ status: 422, body: { type: 'urn:lettura:problem:gate-not-met' } });
  expect(early.body.detail).toMatch(/^Not proven yet/u);
  expect((await server.call('POST', path, verdict('not-proven'))).status).toBe(201);
  await record(wire(job.id, { lane: 'reference', volts: 4.99 }));
  await record(wire(job.id, { lane: 'return', volts: 0.01 }));
  for (const observation of ['plug-contacts', 'part-number', 'hose', 'code-fed'])
    await record({
      id: v7(),
      jobId: job.id,
      kind: 'observation',
      takenAt: now(),
      enteredText: 'as it should be',
      observation,
      holds: true,
    });
  const proven = verdict('sensor');
  // It hangs on one reading alone.
  const alone = await server.call('POST', path, proven);
  expect(alone.status).toBe(422);
  expect(alone.body.detail).toMatch(/^Not proven yet/u);
  await record(wire(job.id, { volts: 2.2 }));
  // Its contacts were looked at and no more.
  const looked = await server.call('POST', path, proven);
  expect(looked.body.detail).toContain('fed past its plug');
  await record({
    id: v7(),
    jobId: job.id,
    kind: 'between',
    takenAt: now(),
    enteredText: '2.2',
    ...poweredByItself({ family, profile, wires: ['reference', 'signal', 'return'] }),
    volts: 2.2,
  });
  expect((await server.call('POST', path, proven)).status).toBe(201);
  expect((await server.call('POST', path, proven)).status).toBe(200);
});

test('circumstances and weights stay with a job until its details are changed without them', async () => {
  const job = await openJob();
  const { complaint, codes, history } = job;
  const starting = { circumstances: ['sensor-replaced'], priors: { 'wire-open': 30, nothing: 0 } };
  const path = `/jobs/${job.id}`;
  const change = (more: object, revision: number) =>
    server.call('PUT', `${path}/details`, { complaint, codes, history, revision, ...more });
  const kept = await change({ starting }, 1);
  expect(kept).toMatchObject({ status: 200, body: { starting } });
  expect((await server.call('GET', path)).body.job.starting).toEqual(starting);
  for (const priors of [{ 'wire-open': 101 }, { 'wire-open': -1 }, { 'no-such-kind': 1 }])
    expect((await change({ starting: { circumstances: [], priors } }, 2)).status).toBe(400);
  expect((await change({ starting: { circumstances: ['full-moon'], priors: {} } }, 2)).status).toBe(400);
  expect((await server.call('GET', path)).body.job.starting).toEqual(starting);
  const cleared = await change({}, 2);
  expect(cleared.body.starting).toBeUndefined();
});

test.each([
  ['a malformed id', 'GET', '/jobs/42', undefined, 400, 'invalid-request'],
  [
    'an id of another version',
    'GET',
    '/jobs/0e37df36-f698-11e6-8dd4-cb9ced3df976',
    undefined,
    400,
    'invalid-request',
  ],
  [
    'a job that is not there',
    'GET',
    '/jobs/01935a00-0000-7000-8000-00000000ffff',
    undefined,
    404,
    'not-found',
  ],
  ['a body that is not JSON', 'POST', '/vehicles', '{"id":', 400, 'malformed-json'],
  ['a body over the limit', 'POST', '/vehicles', { name: 'x'.repeat(70_000) }, 413, 'body-too-large'],
  ['an unknown field', 'POST', '/vehicles', { id: v7(), name: 'x', colour: 'red' }, 400, 'invalid-request'],
  ['an empty name', 'POST', '/vehicles', { id: v7(), name: ' ' }, 400, 'invalid-request'],
  ['an address that is not there', 'GET', '/nothing', undefined, 404, 'not-found'],
] as const)(
  '%s is refused as a problem with a next step',
  async (_what, method, path, body, status, code) => {
    const answer = await server.call(method, path, body);
    expect(answer.status).toBe(status);
    expect(answer.type).toContain('application/problem+json');
    const problem = problemDetails.parse(answer.body);
    expect(problem.type).toBe(`urn:lettura:problem:${code}`);
    expect(problem.next.length).toBeGreaterThan(10);
  },
);

test('a number past any meter is refused by name', async () => {
  const job = await openJob();
  const answer = await record(wire(job.id, { volts: 1e9 }));
  expect(answer).toMatchObject({ status: 400, body: { errors: [{ path: 'volts' }] } });
});

test('the OpenAPI description covers every route and says that problems have a next step', async () => {
  const { body } = await server.call('GET', '/openapi.json');
  expect(body.openapi).toBe('3.1.0');
  const post = body.paths['/api/jobs/{jobId}/readings'].post;
  expect(JSON.stringify(post.requestBody)).toContain('"volts"');
  expect(JSON.stringify(post.responses.default)).toContain('"next"');
  expect(post.parameters[0]).toMatchObject({ name: 'jobId', in: 'path', required: true });
});

test('servers that start together migrate once', async () => {
  await Promise.all([1, 2, 3].map(() => migrateToLatest(server.pool)));
  const { rows } = await server.pool.query('select count(*)::int as n from drizzle.__drizzle_migrations');
  expect(rows).toEqual([{ n: journal.entries.length }]);
});

test('the demo data obeys every rule and is put in only once', async () => {
  const own = await testServer();
  await seedDemo(own.db);
  await seedDemo(own.db);
  const jobs = (await own.call('GET', '/jobs')).body;
  expect(jobs).toHaveLength(10);
  expect(jobs.filter((row: { verdict?: unknown }) => row.verdict)).toHaveLength(2);
  await own.close();
});
