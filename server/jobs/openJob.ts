import { say } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import { eq, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { jobTable } from '../db/schema.ts';

export type JobFault = 'not-found' | 'job-deleted';
export type JobRow = typeof jobTable.$inferSelect;

export const noSuchJob = () =>
  fail('not-found', say('server.there-no-such-job'), say('server.go-back-list-jobs-open'));

export type OpenJob = (jobId: string) => Promise<Result<JobRow, JobFault>>;

/** Finds a job that is there and has not been deleted. Prepared once, since every reading asks it. */
export function openJobIn(db: Database): OpenJob {
  const query = db
    .select()
    .from(jobTable)
    .where(eq(jobTable.id, sql.placeholder('jobId')))
    .prepare('open_job');
  return async (jobId) => judge((await query.execute({ jobId }))[0]);
}

function judge(row: JobRow | undefined): Result<JobRow, JobFault> {
  if (!row) return noSuchJob();
  if (row.deletedAt) {
    return fail('job-deleted', say('server.job-deleted'), say('server.restore-job-list-your-entry'));
  }
  return ok(row);
}
