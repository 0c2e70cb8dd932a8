import { deflateRawSync } from 'node:zlib';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { SHIPPED_SENSORS } from '../sensors/shippedSensors.ts';
import { openTestJob } from '../testJob.ts';
import { testServer } from '../testServer.ts';

let server: Awaited<ReturnType<typeof testServer>>;
let jobId: string;
beforeAll(async () => {
  server = await testServer();
  jobId = (await openTestJob(server, SHIPPED_SENSORS[0]!.id)).id;
});
afterAll(() => server.close());

const floats = (...values: number[]) =>
  deflateRawSync(Buffer.from(Float64Array.from(values).buffer)).toString('base64');
const recording = (over: object = {}) => ({
  id: v7(),
  jobId,
  name: 'Slow travel',
  takenAt: new Date().toISOString(),
  source: 'import',
  channels: [{ name: 'Track 1', unit: 'V', use: 'signal' }],
  samples: 3,
  durationSeconds: 0.02,
  findings: [
    {
      kind: 'dropout',
      weight: 'fault',
      sentence: { code: 'sweep.drops-out', values: { name: { code: 'sweep.track', values: { number: 1 } } } },
      channel: 0,
      fromSeconds: 0.01,
      untilSeconds: 0.02,
      position: 41,
    },
  ],
  marks: [{ atSeconds: 0.01, words: 'at rest', expectedVolts: { lowest: 0.9, highest: 1.1 } }],
  note: 'plug cleaned before',
  data: floats(0, 0.01, 0.02, 1, NaN, 3),
  ...over,
});
const send = (one: object) => server.call('POST', `/jobs/${jobId}/recordings`, one);

test('a recording is kept once, stands on its job and in the list, and comes back with its numbers', async () => {
  const given = recording();
  expect((await send(given)).status).toBe(201);
  expect((await send(given)).status).toBe(200);
  const { data, ...info } = given;
  expect((await server.call('GET', `/jobs/${jobId}`)).body.recordings).toEqual([info]);
  expect((await server.call('GET', '/recordings')).body).toEqual([info]);
  expect((await server.call('GET', `/recordings/${given.id}`)).body).toEqual({ ...info, data });
});

test('what an earlier page says in words of its own is kept word for word', async () => {
  const given = recording();
  const [finding] = given.findings;
  const old = { ...given, findings: [{ ...finding, sentence: 'Track 1 drops out.' }] };
  expect((await send(old)).status).toBe(201);
  expect((await server.call('GET', `/recordings/${given.id}`)).body.findings).toEqual([
    {
      ...finding,
      sentence: { code: 'say.at-the-time', values: { text: { verbatim: 'Track 1 drops out.' } } },
    },
  ]);
});

test('numbers that are not what the header says are refused, and so is a bomb of zeros', async () => {
  const damaged = { status: 422, body: { type: 'urn:lettura:problem:damaged-recording' } };
  expect(await send(recording({ samples: 4 }))).toMatchObject(damaged);
  expect(await send(recording({ data: Buffer.from('no deflate at all').toString('base64') }))).toMatchObject(
    damaged,
  );
  const bomb = deflateRawSync(Buffer.alloc(50_000_000)).toString('base64');
  expect(await send(recording({ data: bomb }))).toMatchObject(damaged);
});

test('a recording on another job, without channels, or for a job that is not there is refused', async () => {
  expect((await send(recording({ jobId: v7() }))).status).toBe(422);
  expect((await send(recording({ channels: [] }))).status).toBe(400);
  const nowhere = v7();
  expect(
    (await server.call('POST', `/jobs/${nowhere}/recordings`, recording({ jobId: nowhere }))).status,
  ).toBe(404);
  expect((await server.call('GET', `/recordings/${v7()}`)).status).toBe(404);
});

test('the database itself refuses to change or delete a recording', async () => {
  await send(recording());
  await expect(server.pool.query("update recording set name = 'x'")).rejects.toThrow('append-only');
  await expect(server.pool.query('delete from recording')).rejects.toThrow('append-only');
});

test('what its channels are is said anew, and it is withdrawn and brought back, while its numbers stay', async () => {
  const given = recording();
  await send(given);
  const { data, ...info } = given;
  const path = `/recordings/${given.id}/revisions`;
  const revision = (over: object) => ({
    id: v7(),
    recordingId: given.id,
    jobId,
    revisedAt: '2026-03-02T09:00:00.000Z',
    withdrawn: false,
    channels: [{ name: 'Track 1', unit: 'mV', use: 'second-signal' }],
    findings: [],
    ...over,
  });
  const first = revision({});
  expect((await server.call('POST', path, first)).status).toBe(201);
  expect((await server.call('POST', path, first)).status).toBe(200);
  const read = async (): Promise<unknown> => (await server.call('GET', `/recordings/${given.id}`)).body;
  const { revisedAt, withdrawn, channels, findings } = first;
  expect(await read()).toEqual({ ...info, channels, findings, revision: { revisedAt, withdrawn }, data });
  const marks = [{ atSeconds: 0.5, words: 'here' }];
  await server.call('POST', path, revision({ name: 'Called anew', marks }));
  expect(await read()).toMatchObject({ name: 'Called anew', marks, note: info.note });
  await server.call('POST', path, revision({ withdrawn: true, note: 'Seen again' }));
  // What a revision leaves out stays as it was said last, and what was recorded stays as it was.
  expect(await read()).toMatchObject({ name: 'Called anew', marks, note: 'Seen again' });
  expect(await read()).toMatchObject({ revision: { withdrawn: true }, data });
  const onJob = (await server.call('GET', `/jobs/${jobId}`)).body.recordings as { id: string }[];
  expect(onJob.find(({ id }) => id === given.id)).toMatchObject({
    revision: { withdrawn: true },
  });
  expect((await server.call('POST', path, revision({ channels: [...channels, ...channels] }))).status).toBe(
    422,
  );
  expect((await server.call('POST', path, revision({ recordingId: v7() }))).status).toBe(422);
  expect((await server.call('POST', `/recordings/${v7()}/revisions`, first)).status).toBe(422);
  const nowhere = v7();
  const lost = await server.call(
    'POST',
    `/recordings/${nowhere}/revisions`,
    revision({ recordingId: nowhere }),
  );
  expect(lost.status).toBe(404);
});
