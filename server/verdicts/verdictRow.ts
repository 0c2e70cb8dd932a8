import type { JobVerdict } from '@lettura/contract';
import { asc, eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { verdictTable } from '../db/schema.ts';

type Row = Pick<typeof verdictTable.$inferSelect, 'id' | 'jobId' | 'decidedAt' | 'cause' | 'note'>;

export const verdictFromRow = ({ id, jobId, decidedAt, cause, note }: Row): JobVerdict => ({
  id,
  jobId,
  decidedAt: decidedAt.toISOString(),
  cause,
  note,
});

export async function verdictsOfJob(db: Database, jobId: string): Promise<JobVerdict[]> {
  const rows = await db
    .select()
    .from(verdictTable)
    .where(eq(verdictTable.jobId, jobId))
    .orderBy(asc(verdictTable.sequence));
  return rows.map(verdictFromRow);
}
