import { caseFileOf, jobSheet, lanesOf } from '@lettura/contract';
import { weighJob } from '@lettura/core/judge/weighing';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { testServer } from '../testServer.ts';
import { DEMO_JOBS } from './demoJobs.ts';
import { seedDemo } from './seedDemo.ts';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
  await seedDemo(server.db);
});
afterAll(() => server.close());

async function sheets() {
  const list = (await server.call('GET', '/jobs')).body as { job: { id: string } }[];
  return Promise.all(
    list.map(async ({ job }) => jobSheet.parse((await server.call('GET', `/jobs/${job.id}`)).body)),
  );
}

test('every job of the demo is there with all its readings', async () => {
  const all = await sheets();
  expect(all.map(({ job }) => job.complaint).sort()).toEqual(
    expect.arrayContaining(DEMO_JOBS.map(({ complaint }) => complaint).filter(Boolean)),
  );
  for (const { complaint, readings } of DEMO_JOBS) {
    const sheet = all.find(({ job }) => job.complaint === complaint)!;
    expect(sheet.readings.length).toBeGreaterThanOrEqual(readings.length);
  }
});

test('a verdict on record in the demo is what its readings prove, with nothing left to ask', async () => {
  const decided = (await sheets()).filter(({ verdicts }) => verdicts.length > 0);
  expect(decided.length).toBe(DEMO_JOBS.filter(({ verdict }) => verdict).length);
  for (const sheet of decided) {
    const wires = lanesOf({ ...sheet.sensor, pins: sheet.job.pins ?? sheet.sensor.pins });
    const { verdict } = weighJob(caseFileOf(sheet), wires);
    expect(verdict).toMatchObject({ decided: true, cause: sheet.verdicts.at(-1)!.cause });
  }
});

test('sown once, it is not sown again', async () => {
  const before = (await sheets()).length;
  await seedDemo(server.db);
  expect((await sheets()).length).toBe(before);
});
