import type { NewReading, Reading } from '@lettura/contract';
import { fail, type Result } from '@lettura/core/problem';
import { and, asc, eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { recordOnce } from '../db/recordOnce.ts';
import { readingTable } from '../db/schema.ts';
import type { Recorded } from '../http/serve.ts';
import { openJob, type JobFault } from '../jobs/openJob.ts';
import { fromRow, toRow } from './readingRow.ts';

export const readingStore = (db: Database) => ({
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
  ): Promise<Result<Recorded<Reading>, JobFault | 'id-conflict' | 'unknown-reference'>> {
    const job = await openJob(db, given.jobId);
    if (!job.ok) return job;
    if (given.supersedes && !(await this.belongs(given.supersedes, given.jobId))) {
      return fail(
        'unknown-reference',
        'The reading to be replaced is not on this job.',
        'Reload the job and correct the reading there.',
      );
    }
    return recordOnce(
      given,
      async () => {
        const rows = await db.insert(readingTable).values(toRow(given)).onConflictDoNothing().returning();
        return rows[0] && fromRow(rows[0]);
      },
      async () => {
        const rows = await db.select().from(readingTable).where(eq(readingTable.id, given.id));
        return rows[0] && fromRow(rows[0]);
      },
    );
  },

  async belongs(readingId: string, jobId: string): Promise<boolean> {
    const rows = await db
      .select({ id: readingTable.id })
      .from(readingTable)
      .where(and(eq(readingTable.id, readingId), eq(readingTable.jobId, jobId)));
    return rows.length > 0;
  },
});
