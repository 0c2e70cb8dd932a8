import { MOST_MACHINE_JOBS, type JobSheet } from '@lettura/contract';
import { and, desc, eq, isNull, type SQL } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { jobTable, sensorTable } from '../db/schema.ts';
import { jobStore } from './jobStore.ts';

/** The newest jobs of which something holds, and how many there are; without those that were deleted. */
export async function newestSheets(
  db: Database,
  which: SQL,
): Promise<{ jobs: JobSheet[]; jobsInAll: number }> {
  const ids = await db
    .select({ id: jobTable.id })
    .from(jobTable)
    .innerJoin(sensorTable, eq(sensorTable.id, jobTable.sensorId))
    .where(and(which, isNull(jobTable.deletedAt)))
    .orderBy(desc(jobTable.openedAt), desc(jobTable.id));
  const store = jobStore(db);
  const jobs: JobSheet[] = [];
  for (const { id } of ids.slice(0, MOST_MACHINE_JOBS)) {
    const sheet = await store.sheet(id);
    if (sheet.ok) jobs.push(sheet.value);
  }
  return { jobs, jobsInAll: ids.length };
}
