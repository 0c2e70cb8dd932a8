import { fail, ok, type Result } from '@lettura/core/problem';
import { eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { jobTable } from '../db/schema.ts';

export type JobFault = 'not-found' | 'job-deleted';
export type JobRow = typeof jobTable.$inferSelect;

export const noSuchJob = () =>
  fail('not-found', 'There is no such job.', 'Go back to the list of jobs and open it from there.');

/** The job's row, if the job is there and has not been deleted. */
export async function openJob(db: Database, jobId: string): Promise<Result<JobRow, JobFault>> {
  const [row] = await db.select().from(jobTable).where(eq(jobTable.id, jobId));
  if (!row) return noSuchJob();
  if (row.deletedAt) {
    return fail(
      'job-deleted',
      'This job was deleted.',
      'Restore the job from the list; your entry is kept until then.',
    );
  }
  return ok(row);
}
