import { jobFile, type JobFile } from '@lettura/contract';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { seedDemo } from '../demo/seedDemo.ts';
import { testServer } from '../testServer.ts';

type Server = Awaited<ReturnType<typeof testServer>>;
let here: Server;
let elsewhere: Server;
/** The jobs of the demo, as a file. */
let saved: string;
let files: JobFile[];

const JOBS = 1000;

const all = async (server: Server): Promise<string> => (await fetch(`${server.base}/job-files`)).text();
const takeIn = async (server: Server, text: string) => {
  const response = await fetch(`${server.base}/job-files`, {
    method: 'POST',
    headers: { 'content-type': 'application/x-ndjson' },
    body: text,
  });
  return { status: response.status, body: (await response.json()) as Record<string, unknown> };
};
const line = (file: unknown): string => `${JSON.stringify(file)}\n`;
/** The same job under ids of its own, with the lines it has. */
function copyOf(file: JobFile): JobFile {
  const ids = new Map<string, string>();
  const anew = (id: string): string => ids.get(id) ?? (ids.set(id, v7()), ids.get(id)!);
  const own = new Set(
    [[file.job, file.vehicle], file.readings, file.recordings, file.revisions, file.verdicts].flatMap(
      (rows) => rows.map(({ id }) => id),
    ),
  );
  return JSON.parse(JSON.stringify(file), (_key, value: unknown) =>
    typeof value === 'string' && own.has(value) ? anew(value) : value,
  ) as JobFile;
}

beforeAll(async () => {
  [here, elsewhere] = await Promise.all([testServer(), testServer()]);
  await seedDemo(here.db);
  saved = await all(here);
  files = saved
    .trimEnd()
    .split('\n')
    .map((one) => jobFile.parse(JSON.parse(one)));
});
afterAll(() => Promise.all([here.close(), elsewhere.close()]));

test('every job of the demo is in the file, with recordings, verdicts and each line of its record', () => {
  expect(files.length).toBeGreaterThanOrEqual(10);
  expect(files.some(({ recordings }) => recordings.length > 0)).toBe(true);
  expect(files.some(({ verdicts }) => verdicts.length > 0)).toBe(true);
  expect(files.reduce((sum, { readings }) => sum + readings.length, 0)).toBeGreaterThan(50);
});

test('taken into an empty database and saved again, the file is the same to the byte', async () => {
  const taken = await takeIn(elsewhere, saved);
  expect(taken).toEqual({
    status: 200,
    body: { added: files.length, grown: 0, known: 0, otherwiseHere: 0 },
  });
  expect(await all(elsewhere)).toBe(saved);
  // Once more changes nothing.
  expect((await takeIn(elsewhere, saved)).body).toMatchObject({ added: 0, known: files.length });
  expect(await all(elsewhere)).toBe(saved);
  // One by one is the same as all together.
  const [first] = files;
  const alone = await (await fetch(`${elsewhere.base}/jobs/${first!.job.id}/file`)).text();
  expect(`${alone}\n`).toBe(saved.slice(0, alone.length + 1));
});

test('a job that went on elsewhere grows by what is lacking, and keeps the details it has here', async () => {
  const file = copyOf(files[0]!);
  const short = { ...file, readings: file.readings.slice(0, 1), verdicts: [], recordings: [], revisions: [] };
  expect((await takeIn(here, line(short))).body).toMatchObject({ added: 1 });
  const grown = { ...file, job: { ...file.job, complaint: 'Another complaint' } };
  expect((await takeIn(here, line(grown))).body).toEqual({ added: 0, grown: 1, known: 0, otherwiseHere: 1 });
  const sheet = (await here.call('GET', `/jobs/${file.job.id}`)).body;
  expect(sheet.readings.map(({ id }: { id: string }) => id)).toEqual(file.readings.map(({ id }) => id));
  expect(sheet.job.complaint).toBe(file.job.complaint);
});

test('a deleted job comes in deleted, and can be brought back', async () => {
  const file = copyOf(files[1]!);
  const deleted = { ...file, job: { ...file.job, deletedAt: '2026-11-20T08:00:00.000Z' } };
  expect((await takeIn(here, line(deleted))).status).toBe(200);
  expect((await here.call('GET', `/jobs/${file.job.id}`)).body.job.deletedAt).toBe(
    '2026-11-20T08:00:00.000Z',
  );
  expect((await here.call('POST', `/jobs/${file.job.id}/restore`)).status).toBe(200);
});

test('a file that is wrong anywhere is refused with the place, and nothing of it is taken in', async () => {
  const before = (await here.call('GET', '/jobs')).body.length;
  const good = copyOf(files[0]!);
  const [reading] = good.readings;
  const wrong: [string | object, string][] = [
    ['{"format": "lettura-job"', 'Line 2: This is not a JSON file'],
    [{ ...good, format: 'something' }, 'Line 2: The file does not say "format": "lettura-job".'],
    [{ ...good, version: 9 }, 'Line 2: The file has schema version 9; this program reads version 1.'],
    [{ ...good, readings: [{ ...reading, takenAt: 'yesterday' }] }, 'Line 2: readings, number 1, takenAt: '],
    [
      { ...good, readings: [{ ...reading, jobId: v7() }] },
      'Line 2: readings, number 1, jobId: This belongs to another job.',
    ],
    [
      { ...good, readings: [{ ...reading, supersedes: v7() }] },
      'Line 2: readings, number 1, supersedes: This names something that the file does not hold.',
    ],
    [{ ...good, readings: [reading, reading] }, 'Line 2: readings, number 2, id: This id was used already.'],
    [{ ...good, vehicle: { ...good.vehicle, id: v7() } }, 'Line 2: job, vehicleId: This names something'],
    [{ ...good, unknown: 1 }, 'Line 2: '],
  ];
  for (const [second, said] of wrong) {
    const text = typeof second === 'string' ? second : JSON.stringify(second);
    const { status, body } = await takeIn(here, `${line(copyOf(files[0]!))}${text}\n`);
    expect(status, said).toBe(400);
    expect(String(body.detail).toLowerCase()).toContain(said.toLowerCase());
    expect(String(body.detail)).not.toMatch(/undefined|NaN|Invalid input/u);
    expect(body.next).toContain('Nothing was taken in.');
  }
  expect((await takeIn(here, '\n\n')).body.detail).toBe('There is no job in this file.');
  expect((await here.call('GET', '/jobs')).body.length).toBe(before);
});

test('what says something else under an id that is taken refuses the file, whatever it is', async () => {
  const file = copyOf(files.find(({ recordings }) => recordings.length > 0)!);
  expect((await takeIn(here, line(file))).status).toBe(200);
  const [first, ...others] = file.readings;
  const [recording] = file.recordings;
  const changed: object[] = [
    { ...file, readings: [{ ...first, enteredText: 'typed otherwise' }, ...others] },
    { ...file, vehicle: { ...file.vehicle, name: 'Another machine' } },
    { ...file, sensor: { ...file.sensor, name: 'Another sensor' } },
    { ...file, recordings: [{ ...recording, note: 'Another note' }, ...file.recordings.slice(1)] },
  ];
  for (const one of changed) expect((await takeIn(here, line(one))).status).toBe(409);
  const stolen = copyOf(file);
  const taken = { ...stolen, readings: [{ ...first, jobId: stolen.job.id }] };
  expect((await takeIn(here, line(taken))).status).toBe(409);
  // Numbers that are not what the header says.
  const damaged = copyOf(file);
  const short = {
    ...damaged,
    recordings: damaged.recordings.map((one) => ({ ...one, samples: one.samples - 1 })),
  };
  const refused = await takeIn(here, line(short));
  expect(refused.status).toBe(422);
  expect(refused.body.detail).toContain(recording!.name);
});

test('a sensor whose version is another here begins a line of its own', async () => {
  const file = copyOf(files[0]!);
  const sensorId = v7();
  const twin = {
    ...file,
    job: { ...file.job, sensorId },
    sensor: { ...file.sensor, id: sensorId, name: 'The same version, made elsewhere' },
  };
  expect((await takeIn(here, line(twin))).status).toBe(200);
  const versions = (await here.call('GET', `/sensors/${sensorId}`)).body;
  expect(versions).toMatchObject([{ id: sensorId, lineageId: sensorId, version: 1 }]);
});

test('a thousand jobs come in and leave as one stream', async () => {
  const other = await testServer();
  const small = { ...files[0]!, recordings: [], revisions: [] };
  const sent = Array.from({ length: JOBS }, () => copyOf(small));
  expect((await takeIn(other, sent.map(line).join(''))).body).toMatchObject({ added: JOBS });
  const lines = (await all(other)).trimEnd().split('\n');
  const byId = new Map(lines.map((one) => JSON.parse(one) as JobFile).map((file) => [file.job.id, file]));
  expect(byId.size).toBe(JOBS);
  for (const file of sent) expect(byId.get(file.job.id)).toEqual(file);
  await other.close();
});

test('its schema is published', async () => {
  const { body } = await here.call('GET', '/schemas/job.json');
  expect(body).toMatchObject({
    $id: 'urn:lettura:schema:job:1',
    required: expect.arrayContaining(['readings']),
  });
});
