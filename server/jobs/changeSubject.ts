import {
  MOST_FORMER,
  withoutPlace,
  type FormerSubject,
  type Job,
  type jobSubject,
  type Sensor,
} from '@lettura/contract';
import { list, say, verbatim } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import { hangsOnSensor } from '@lettura/core/recording/sweep';
import { and, eq, sql } from 'drizzle-orm';
import type { z } from 'zod';
import type { Database } from '../db/connect.ts';
import { jobTable, vehicleTable } from '../db/schema.ts';
import type { Actor } from '../http/actor.ts';
import { readingStore } from '../readings/readingStore.ts';
import { recordingStore } from '../recordings/recordingStore.ts';
import { sensorStore } from '../sensors/sensorStore.ts';
import { jobChanged, toJob } from './jobStore.ts';
import { openJobIn, type JobFault, type JobRow } from './openJob.ts';

type Refused = JobFault | 'job-changed' | 'unknown-reference' | 'sensor-does-not-fit' | 'moved-too-often';

/** Says that a job is of another machine or sensor. What it was of before stays on the job, and so does all that was read. */
export async function changeSubject(
  db: Database,
  jobId: string,
  { revision, vehicleId, sensorId }: z.infer<typeof jobSubject>,
  { author: changedBy }: Actor,
): Promise<Result<Job, Refused>> {
  const open = await openJobIn(db)(jobId);
  if (!open.ok) return open;
  const before = open.value;
  const former: FormerSubject[] = [];
  const until = new Date().toISOString();
  if (sensorId && sensorId !== before.sensorId) {
    const sensors = sensorStore(db);
    const [chosen, replaced] = await Promise.all([sensors.find(sensorId), sensors.find(before.sensorId)]);
    if (!chosen) return notKnown();
    const misfit = await whyNot(db, before, chosen);
    if (misfit) return misfit;
    former.push({ until, what: 'sensor', id: before.sensorId, name: replaced?.name ?? '' });
  }
  if (vehicleId && vehicleId !== before.vehicleId) {
    const named = async (id: string) =>
      (await db.select({ name: vehicleTable.name }).from(vehicleTable).where(eq(vehicleTable.id, id)))[0];
    const [chosen, replaced] = await Promise.all([named(vehicleId), named(before.vehicleId)]);
    if (!chosen) return notKnown();
    former.push({ until, what: 'machine', id: before.vehicleId, name: replaced?.name ?? '' });
  }
  if (former.length === 0) return ok(toJob(before));
  const formerly = [...before.formerly, ...former];
  if (formerly.length > MOST_FORMER)
    return fail(
      'moved-too-often',
      say('server.moved-too-often', { count: before.formerly.length }),
      say('server.open-new-job-for-sensor'),
    );
  const [row] = await db
    .update(jobTable)
    .set({
      ...(vehicleId && { vehicleId }),
      ...(sensorId && { sensorId }),
      formerly,
      changedBy,
      revision: sql`${jobTable.revision} + 1`,
    })
    .where(and(eq(jobTable.id, jobId), eq(jobTable.revision, revision)))
    .returning();
  return row ? ok(toJob(row)) : jobChanged();
}

/** What is on record would be judged by a sensor that it was not read on. */
async function whyNot(
  db: Database,
  { id: jobId, bench, pins, sensorId }: JobRow,
  chosen: Sensor,
): Promise<Result<never, 'sensor-does-not-fit'> | undefined> {
  if (bench)
    return fail(
      'sensor-does-not-fit',
      say('server.practice-has-its-sensor'),
      say('server.start-practice-on-another-machine'),
    );
  const [readings, recordings] = await Promise.all([
    readingStore(db).ofJob(jobId),
    recordingStore(db).ofJob(jobId),
  ]);
  const lost = withoutPlace(readings, chosen, pins ?? undefined);
  if (lost.length > 0)
    return fail(
      'sensor-does-not-fit',
      say('server.readings-without-place', {
        sensor: verbatim(chosen.name),
        count: lost.length,
        readings: list(
          lost.slice(0, MOST_NAMED).map(({ enteredText }) => verbatim(enteredText)),
          'commas',
        ),
        more: Math.max(0, lost.length - MOST_NAMED),
      }),
      say('server.take-them-back-or-new-job'),
    );
  const former = await sensorStore(db).find(sensorId);
  // A capture tells of its line, whichever sensor is on it.
  const hanging = recordings.filter(
    ({ findings }) => !former || hangsOnSensor(findings, former.profile, chosen.profile),
  );
  if (hanging.length > 0)
    return fail(
      'sensor-does-not-fit',
      say('server.recordings-of-former-sensor', { count: hanging.length }),
      say('server.open-new-job-for-sensor'),
    );
  return undefined;
}

const MOST_NAMED = 3;

const notKnown = () =>
  fail('unknown-reference', say('server.vehicle-sensor-not-known'), say('server.choose-both-again'));
