import { deflateRawSync, gzipSync } from 'node:zlib';
import { request } from 'node:http';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { SHIPPED_SENSORS } from './sensors/shippedSensors.ts';
import { openTestJob, signalReading } from './testJob.ts';
import { testServer } from './testServer.ts';

let server: Awaited<ReturnType<typeof testServer>>;
let jobId: string;
const sensor = SHIPPED_SENSORS[0]!;
const now = () => new Date().toISOString();

const openJob = () => openTestJob(server, sensor.id);
beforeAll(async () => {
  server = await testServer();
  jobId = (await openJob()).id;
});
afterAll(() => server.close());

const wire = (over: object = {}) => signalReading(jobId, over);
const record = (reading: object) => server.call('POST', `/jobs/${jobId}/readings`, reading);

/** A request with headers that a browser would not let a page set. */
function raw(method: string, path: string, headers: Record<string, string>, body?: string | Buffer) {
  return new Promise<{ status: number; headers: Record<string, unknown>; text: string }>(
    (resolve, reject) => {
      const sent = request(`${server.base}${path}`, { method, headers }, (answer) => {
        let text = '';
        answer.on('data', (piece) => (text += piece));
        answer.on('end', () => resolve({ status: answer.statusCode!, headers: answer.headers, text }));
      });
      sent.on('error', reject);
      sent.end(body);
    },
  );
}
const json = { 'content-type': 'application/json' };

test('a page under another name that points here is answered nothing, not even what it may only read', async () => {
  expect(await raw('GET', '/jobs', { host: 'evil.example' })).toMatchObject({ status: 421 });
  expect(await raw('GET', '/jobs', { host: 'localhost:4730' })).toMatchObject({ status: 200 });
});

test.each([
  [{ origin: 'http://evil.example' }],
  [{ origin: 'null' }],
  [{ 'sec-fetch-site': 'cross-site' }],
  [{ 'sec-fetch-site': 'same-site' }],
])('a page from elsewhere that writes is refused: %j', async (headers) => {
  const answer = await raw('POST', `/jobs/${jobId}/restore`, headers);
  expect(answer.status).toBe(403);
  expect(answer.headers['content-type']).toContain('application/problem+json');
});

test('this application’s own page may write', async () => {
  const host = new URL(server.base).host;
  const headers = { ...json, origin: `http://${host}`, 'sec-fetch-site': 'same-origin' };
  const answer = await raw('POST', `/jobs/${jobId}/readings`, headers, JSON.stringify(wire()));
  expect(answer.status).toBe(201);
  expect(answer.headers['cache-control']).toBe('no-store');
  expect(answer.headers['x-request-id']).toMatch(/^[\da-f-]{36}$/u);
  expect(answer.headers['content-security-policy']).not.toMatch(/style-src[^;]*https:/u);
});

test.each([
  ['a zero byte', { enteredText: 'sig \u0000 2.31' }],
  ['half a character', { enteredText: 'sig \ud800' }],
  ['the year 0000', { takenAt: '0000-01-01T00:00:00Z' }],
  ['the year 9999', { takenAt: '9999-12-31T23:59:59-12:00' }],
])('%s is refused with what to do, not a mistake of the server', async (_what, over) => {
  const answer = await record(wire(over));
  expect(answer).toMatchObject({ status: 400, body: { type: 'urn:lettura:problem:invalid-request' } });
});

test('a revision past what the database counts to is refused', async () => {
  const change = { complaint: 'x', codes: [], history: '', revision: 2 ** 31 };
  expect((await server.call('PUT', `/jobs/${jobId}/details`, change)).status).toBe(400);
});

test.each(['gzip', 'deflate', 'br'])(
  'a body that says it is %s and is not is malformed',
  async (encoding) => {
    const answer = await raw(
      'POST',
      '/vehicles',
      { ...json, 'content-encoding': encoding },
      'not compressed',
    );
    expect(answer.status).toBe(400);
    const whole = gzipSync(JSON.stringify({ id: v7(), name: 'x'.repeat(100) }));
    const cut = await raw(
      'POST',
      '/vehicles',
      { ...json, 'content-encoding': 'gzip' },
      whole.subarray(0, 30),
    );
    expect(cut.status).toBe(400);
  },
);

test('what is nested deep or goes on and on is refused at once, and not echoed', async () => {
  const deep = `${'['.repeat(50_000)}${']'.repeat(50_000)}`;
  const long = JSON.stringify({ format: 'lettura-sensors', version: 1, sensors: Array(50_000).fill(1) });
  const odd = JSON.stringify({ ['k'.repeat(60_000)]: 1, id: v7(), name: 'x' });
  for (const [path, body] of [
    ['/sensors', deep],
    ['/sensors/import', long],
    ['/vehicles', odd],
  ] as const) {
    const answer = await raw('POST', path, json, body);
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.status).toBeLessThan(500);
    expect(answer.text.length).toBeLessThan(2000);
  }
});

test('a few kilobytes that inflate to gigabytes are refused, and little memory is taken for it', async () => {
  const recording = (samples: number, data: Buffer) => ({
    id: v7(),
    jobId,
    name: 'zeros',
    takenAt: now(),
    source: 'import',
    channels: Array.from({ length: 12 }, (_, i) => ({ name: `c${i}`, unit: 'V', use: 'other' })),
    samples,
    durationSeconds: 1,
    findings: [],
    marks: [],
    note: '',
    data: data.toString('base64'),
  });
  const zeros = deflateRawSync(Buffer.alloc(64 * 1024 * 1024));
  const before = process.memoryUsage().rss;
  const tooMany = await server.call('POST', `/jobs/${jobId}/recordings`, recording(20_000_000, zeros));
  expect(tooMany.status).toBe(400);
  expect(tooMany.body.detail).toContain('numbers');
  const dishonest = await server.call('POST', `/jobs/${jobId}/recordings`, recording(1000, zeros));
  expect(dishonest.status).toBe(422);
  expect(process.memoryUsage().rss - before).toBeLessThan(256 * 1024 * 1024);
});

test('the same sensor file sent six times at once is imported once', async () => {
  const { lineageId: _lineage, version: _version, ...plain } = (await server.call('GET', '/sensors')).body[0];
  const file = {
    format: 'lettura-sensors',
    version: 1,
    sensors: [
      { ...plain, id: v7() },
      { ...plain, id: v7() },
    ],
  };
  const answers = await Promise.all(
    Array.from({ length: 6 }, () => server.call('POST', '/sensors/import', file)),
  );
  expect(answers.map(({ status }) => status)).toEqual(Array(6).fill(200));
  expect(answers.reduce((sum, { body }) => sum + Number(body.added), 0)).toBe(2);
});

test('names that every object has are no weights', async () => {
  const change = (priors: object) =>
    server.call('PUT', `/jobs/${jobId}/details`, {
      complaint: 'x',
      codes: [],
      history: '',
      starting: { circumstances: [], priors },
      revision: 1,
    });
  expect((await change({ constructor: 3 })).status).toBe(400);
  expect((await change({ toString: 3 })).status).toBe(400);
});

test('a correction is of the same kind and place, one for each reading, and nothing takes back a taking back', async () => {
  const first = wire();
  await record(first);
  const elsewhere = await record(wire({ lane: 'return', supersedes: first.id }));
  expect(elsewhere).toMatchObject({ status: 422, body: { type: 'urn:lettura:problem:wrong-correction' } });
  const both = await Promise.all([2.4, 2.5].map((volts) => record(wire({ volts, supersedes: first.id }))));
  expect(both.map(({ status }) => status).sort()).toEqual([201, 409]);
  expect(both.find(({ status }) => status === 409)!.body).toMatchObject({
    type: 'urn:lettura:problem:corrected-elsewhere',
  });
  const other = wire();
  await record(other);
  const withdrawal = {
    id: v7(),
    jobId,
    kind: 'withdrawal',
    takenAt: now(),
    enteredText: 'take back',
    supersedes: other.id,
  };
  expect((await record(withdrawal)).status).toBe(201);
  expect((await record(withdrawal)).status).toBe(200);
  const again = { ...withdrawal, id: v7(), supersedes: withdrawal.id };
  expect(await record(again)).toMatchObject({ status: 422 });
});

test('a replay that leaves a field out is another record', async () => {
  const reading = wire({ state: { engine: 'koeo', plug: 'connected', stimulus: { kind: 'full-travel' } } });
  await record(reading);
  expect((await record(reading)).status).toBe(200);
  expect((await record({ ...reading, state: { engine: 'koeo', plug: 'connected' } })).status).toBe(409);
});

test('a reading never lands on a job that is deleted at the same moment, whichever comes first', async () => {
  for (let round = 0; round < 8; round++) {
    const { id } = await openJob();
    const reading = wire({ jobId: id });
    const [written, deleted] = await Promise.all([
      server.call('POST', `/jobs/${id}/readings`, reading),
      server.call('DELETE', `/jobs/${id}`),
    ]);
    expect(deleted.status).toBe(200);
    expect([201, 410]).toContain(written.status);
    const late = await server.call('POST', `/jobs/${id}/readings`, wire({ jobId: id }));
    expect(late.status).toBe(410);
  }
});

test('the database itself lets nobody write onto a deleted job, correct twice, or empty the record', async () => {
  const { id } = await openJob();
  await server.call('DELETE', `/jobs/${id}`);
  const insert = `insert into reading (id, job_id, kind, taken_at, entered_text, supersedes, payload) values ($1, $2, 'withdrawal', now(), '', $3, '{}')`;
  const old = wire();
  await record(old);
  await expect(server.pool.query(insert, [v7(), id, old.id])).rejects.toMatchObject({ code: 'LT410' });
  await server.pool.query(insert, [v7(), jobId, old.id]);
  await expect(server.pool.query(insert, [v7(), jobId, old.id])).rejects.toMatchObject({ code: 'LT409' });
  for (const table of ['reading', 'verdict', 'recording'])
    await expect(server.pool.query(`truncate ${table} cascade`)).rejects.toMatchObject({ code: '23001' });
});

test('one locked table makes its own requests wait and fail, and the others go on', async () => {
  const client = await server.pool.connect();
  await client.query('begin; lock table instrument in access exclusive mode');
  const stuck = Promise.all(Array.from({ length: 9 }, () => server.call('GET', '/instruments')));
  const free = await server.call('GET', '/vehicles');
  expect([200, 503]).toContain(free.status);
  const answers = await stuck;
  for (const { status, body } of answers) {
    expect(status).toBe(503);
    expect(body.type).toMatch(/database-busy|database-away/u);
  }
  expect((await server.call('GET', '/vehicles')).status).toBe(200);
  await client.query('rollback');
  client.release();
  expect((await server.call('GET', '/instruments')).status).toBe(200);
});

test('what is not there is a problem outside of the API as well', async () => {
  const answer = await fetch(new URL('/nothing', server.base), { method: 'POST' });
  expect(answer.status).toBe(404);
  expect(answer.headers.get('content-type')).toContain('application/problem+json');
});

test('a page of another version is told to reload, and one that names none or ours is answered', async () => {
  const ask = (version?: string) =>
    fetch(`${server.base}/health`, version ? { headers: { 'lettura-api': version } } : {});
  for (const version of [undefined, '2']) {
    const answer = await ask(version);
    expect(answer.status).toBe(200);
    expect(answer.headers.get('lettura-api')).toBe('2');
  }
  const other = await ask('3');
  expect(other.status).toBe(426);
  expect(await other.json()).toMatchObject({ type: 'urn:lettura:problem:other-version' });
});
