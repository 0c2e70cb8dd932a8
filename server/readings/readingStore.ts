import { say } from '@lettura/core/measure/message';
import { instrumentsNamed, subjectOf, type NewReading, type Reading } from '@lettura/contract';
import { fail, type Result } from '@lettura/core/measure/problem';
import { asc, eq, getTableColumns, sql } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { Database } from '../db/connect.ts';
import type { Actor } from '../http/actor.ts';
import { recordOnce } from '../db/recordOnce.ts';
import { readingTable } from '../db/schema.ts';
import type { Recorded } from '../http/serve.ts';
import { instrumentStore } from '../instruments/instrumentStore.ts';
import { openJobIn, type JobFault } from '../jobs/openJob.ts';
import { fromRow, toRow } from './readingRow.ts';

export const readingStore = (db: Database) => {
  const openJob = openJobIn(db);
  const insert = insertPrepared(db);
  const instruments = instrumentStore(db);
  return {
    async ofJob(jobId: string): Promise<Reading[]> {
      const rows = await db
        .select()
        .from(readingTable)
        .where(eq(readingTable.jobId, jobId))
        .orderBy(asc(readingTable.sequence));
      return rows.map(fromRow);
    },

    async record(
      given: NewReading,
      { author }: Actor,
    ): Promise<
      Result<Recorded<Reading>, JobFault | 'id-conflict' | 'unknown-reference' | 'wrong-correction'>
    > {
      const job = await openJob(given.jobId);
      if (!job.ok) return job;
      const corrected = given.supersedes ? await this.find(given.supersedes) : undefined;
      if (given.supersedes && corrected?.jobId !== given.jobId) {
        return fail(
          'unknown-reference',
          say('server.reading-replaced-not-job'),
          say('server.reload-job-correct-reading-there'),
        );
      }
      if (corrected && !mayReplace(given, corrected)) {
        return fail(
          'wrong-correction',
          corrected.kind === 'withdrawal'
            ? say('server.takes-reading-back-cannot-itself')
            : say('server.correction-same-kind-same-place'),
          say('server.take-old-reading-back-enter'),
        );
      }
      const named = instrumentsNamed(given);
      if ((await instruments.ofIds(named)).length < new Set(named).size) {
        return fail(
          'unknown-reference',
          say('server.instrument-reading-not-known'),
          say('server.choose-instrument-again-none'),
        );
      }
      return recordOnce(
        given,
        async () => {
          const [row] = await insert({ ...toRow(given), author });
          return row && fromRow(row);
        },
        async () => {
          const rows = await db.select().from(readingTable).where(eq(readingTable.id, given.id));
          return rows[0] && fromRow(rows[0]);
        },
      );
    },

    async find(readingId: string): Promise<Reading | undefined> {
      const [row] = await db.select().from(readingTable).where(eq(readingTable.id, readingId));
      return row && fromRow(row);
    },
  };
};

/** A withdrawal takes back anything but a withdrawal; a correction stays where the reading was taken. */
function mayReplace(given: NewReading, old: Reading): boolean {
  if (old.kind === 'withdrawal') return false;
  return given.kind === 'withdrawal' || isDeepStrictEqual(subjectOf(given), subjectOf(old));
}

/** Prepared once: a capture records many readings, and building the statement costs more than running it. */
function insertPrepared(db: Database) {
  const { sequence: _sequence, recordedAt: _recordedAt, ...given } = getTableColumns(readingTable);
  const names = Object.keys(given) as (keyof typeof given)[];
  const placeholders = Object.fromEntries(names.map((name) => [name, sql.placeholder(name)]));
  const query = db
    .insert(readingTable)
    .values(placeholders as never)
    .onConflictDoNothing()
    .returning()
    .prepare('record_reading');
  const empty = Object.fromEntries(names.map((name) => [name, null]));
  return (row: typeof readingTable.$inferInsert) => query.execute({ ...empty, ...defined(row) });
}

const defined = (row: object) =>
  Object.fromEntries(Object.entries(row).filter(([, value]) => value !== undefined));
