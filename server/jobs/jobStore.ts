import { say } from '@lettura/core/measure/message';
import { instrumentsNamed, type Job, type JobSheet, type JobSummary, type NewJob } from '@lettura/contract';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import { and, count, desc, eq, ne, sql } from 'drizzle-orm';
import type { z } from 'zod';
import type { jobChange } from '@lettura/contract';
import type { Database } from '../db/connect.ts';
import type { Actor } from '../http/actor.ts';
import { recordOnce } from '../db/recordOnce.ts';
import { jobTable, readingTable, sensorTable, vehicleTable, verdictTable } from '../db/schema.ts';
import type { Recorded } from '../http/serve.ts';
import { readingStore } from '../readings/readingStore.ts';
import { instrumentStore } from '../instruments/instrumentStore.ts';
import { sensorColumns, sensorFromRow } from '../sensors/sensorStore.ts';
import { vehicleColumns, vehicleFromRow } from '../vehicles/vehicleStore.ts';
import { recordingStore } from '../recordings/recordingStore.ts';
import { verdictFromRow, verdictsOfJob } from '../verdicts/verdictRow.ts';
import { rechecks } from './rechecks.ts';
import { noSuchJob, openJobIn, type JobFault, type JobRow } from './openJob.ts';

export const jobStore = (db: Database) => {
  const openJob = openJobIn(db);
  const recordings = recordingStore(db);
  const readings = readingStore(db);
  const instruments = instrumentStore(db);
  return {
    async list(): Promise<JobSummary[]> {
      const readingCounts = db
        .select({ jobId: readingTable.jobId, readings: count().as('readings') })
        .from(readingTable)
        .where(ne(readingTable.kind, 'withdrawal'))
        .groupBy(readingTable.jobId)
        .as('reading_counts');
      const latestVerdicts = db
        .selectDistinctOn([verdictTable.jobId])
        .from(verdictTable)
        .orderBy(verdictTable.jobId, desc(verdictTable.sequence))
        .as('latest_verdicts');
      const toCome = rechecks(db);
      const rows = await db
        .select({
          job: jobTable,
          vehicleName: vehicleTable.name,
          sensorName: sensorTable.name,
          readings: readingCounts.readings,
          verdictId: latestVerdicts.id,
          cause: latestVerdicts.cause,
          note: latestVerdicts.note,
          decidedAt: latestVerdicts.decidedAt,
          recheckOn: toCome.onDate,
        })
        .from(jobTable)
        .innerJoin(vehicleTable, eq(vehicleTable.id, jobTable.vehicleId))
        .innerJoin(sensorTable, eq(sensorTable.id, jobTable.sensorId))
        .leftJoin(readingCounts, eq(readingCounts.jobId, jobTable.id))
        .leftJoin(latestVerdicts, eq(latestVerdicts.jobId, jobTable.id))
        .leftJoin(toCome, eq(toCome.jobId, jobTable.id))
        .orderBy(desc(jobTable.openedAt), desc(jobTable.id));
      return rows.map(({ job, vehicleName, sensorName, readings, recheckOn, ...latest }) => ({
        job: toJob(job),
        vehicleName,
        sensorName,
        readingCount: Number(readings ?? 0),
        ...(recheckOn && { recheckOn }),
        ...latestVerdict(job.id, latest),
      }));
    },

    async sheet(jobId: string): Promise<Result<JobSheet, 'not-found'>> {
      const [row] = await db
        .select({
          job: jobTable,
          vehicle: vehicleColumns,
          sensor: sensorColumns,
        })
        .from(jobTable)
        .innerJoin(vehicleTable, eq(vehicleTable.id, jobTable.vehicleId))
        .innerJoin(sensorTable, eq(sensorTable.id, jobTable.sensorId))
        .where(eq(jobTable.id, jobId));
      if (!row) return noSuchJob();
      const lines = await readings.ofJob(jobId);
      const verdicts = await verdictsOfJob(db, jobId);
      const taken = new Set(lines.flatMap(instrumentsNamed));
      return ok({
        job: toJob(row.job),
        vehicle: vehicleFromRow(row.vehicle),
        sensor: sensorFromRow(row.sensor),
        readings: lines,
        instruments: await instruments.ofIds([...taken]),
        verdicts,
        recordings: await recordings.ofJob(jobId),
      });
    },

    /** `formerly` comes with a job from elsewhere: none begins with it here. */
    async record(
      given: NewJob & Pick<Job, 'formerly'>,
      { author }: Actor,
    ): Promise<Result<Recorded<Job>, 'id-conflict' | 'unknown-reference'>> {
      if (!(await this.partsExist(given))) {
        return fail(
          'unknown-reference',
          say('server.vehicle-sensor-not-known'),
          say('server.choose-both-again'),
        );
      }
      return recordOnce<Job>(
        given as Job,
        async () => {
          const values = {
            ...given,
            author,
            changedBy: author,
            openedAt: new Date(given.openedAt),
            bench: given.bench ?? null,
            pins: given.pins ?? null,
            starting: given.starting ?? null,
            displacementLitres: given.displacementLitres ?? null,
            formerly: given.formerly ?? [],
            notAsKnownGood: given.notAsKnownGood ?? false,
          };
          const [row] = await db.insert(jobTable).values(values).onConflictDoNothing().returning();
          return row && toJob(row);
        },
        async () => {
          const [row] = await db.select().from(jobTable).where(eq(jobTable.id, given.id));
          return row && toJob(row);
        },
      );
    },

    async partsExist({ vehicleId, sensorId }: NewJob): Promise<boolean> {
      const [vehicles, sensors] = await Promise.all([
        db.select({ id: vehicleTable.id }).from(vehicleTable).where(eq(vehicleTable.id, vehicleId)),
        db.select({ id: sensorTable.id }).from(sensorTable).where(eq(sensorTable.id, sensorId)),
      ]);
      return vehicles.length > 0 && sensors.length > 0;
    },

    /** Changes only from the revision that was on the screen. */
    async change(
      jobId: string,
      { revision, ...details }: z.infer<typeof jobChange>,
      { author: changedBy }: Actor,
    ): Promise<Result<Job, JobFault | 'job-changed'>> {
      const open = await openJob(jobId);
      if (!open.ok) return open;
      const [row] = await db
        .update(jobTable)
        .set({
          ...details,
          changedBy,
          pins: details.pins ?? null,
          starting: details.starting ?? null,
          displacementLitres: details.displacementLitres ?? null,
          notAsKnownGood: details.notAsKnownGood ?? false,
          revision: sql`${jobTable.revision} + 1`,
        })
        .where(and(eq(jobTable.id, jobId), eq(jobTable.revision, revision)))
        .returning();
      return row ? ok(toJob(row)) : jobChanged();
    },

    async setDeleted(
      jobId: string,
      deletedAt: Date | null,
      { author: changedBy }: Actor,
    ): Promise<Result<Job, 'not-found'>> {
      const [row] = await db
        .update(jobTable)
        .set({ deletedAt, changedBy })
        .where(eq(jobTable.id, jobId))
        .returning();
      return row ? ok(toJob(row)) : noSuchJob();
    },
  };
};

export const jobChanged = () =>
  fail('job-changed', say('server.somebody-changed-job-meanwhile'), say('server.look-record-now-save-yours'));

export const toJob = ({
  recordedAt: _recordedAt,
  author: _author,
  changedBy: _changedBy,
  bench,
  pins,
  starting,
  displacementLitres,
  deletedAt,
  openedAt,
  formerly,
  notAsKnownGood,
  ...row
}: JobRow): Job => ({
  ...row,
  openedAt: openedAt.toISOString(),
  ...(bench ? { bench } : {}),
  ...(pins ? { pins } : {}),
  ...(starting ? { starting } : {}),
  ...(displacementLitres === null ? {} : { displacementLitres }),
  ...(deletedAt ? { deletedAt: deletedAt.toISOString() } : {}),
  ...(notAsKnownGood ? { notAsKnownGood } : {}),
  ...(formerly.length > 0 ? { formerly: [...formerly] } : {}),
});

/** What the join gives is all of a verdict or nothing of it. */
const latestVerdict = (
  jobId: string,
  {
    verdictId,
    cause,
    note,
    decidedAt,
  }: { verdictId: string | null; cause: string | null; note: string | null; decidedAt: Date | null },
): Pick<JobSummary, 'verdict'> =>
  verdictId && cause && decidedAt
    ? { verdict: verdictFromRow({ id: verdictId, jobId, cause, note: note ?? '', decidedAt }) }
    : {};
