import { MOST_MACHINE_JOBS, type JobSheet, type MachineRecord } from '@lettura/contract';
import { say } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { jobTable, vehicleTable } from '../db/schema.ts';
import { jobStore } from '../jobs/jobStore.ts';
import { vehicleColumns, vehicleFromRow } from './vehicleStore.ts';

/** One machine with what was done on it. */
export async function machineRecordOf(
  db: Database,
  vehicleId: string,
): Promise<Result<MachineRecord, 'not-found'>> {
  const [row] = await db.select(vehicleColumns).from(vehicleTable).where(eq(vehicleTable.id, vehicleId));
  if (!row) return fail('not-found', say('server.no-such-machine'), say('server.go-back-list-jobs-open'));
  const ids = await db
    .select({ id: jobTable.id })
    .from(jobTable)
    .where(and(eq(jobTable.vehicleId, vehicleId), isNull(jobTable.deletedAt)))
    .orderBy(desc(jobTable.openedAt), desc(jobTable.id));
  const store = jobStore(db);
  const jobs: JobSheet[] = [];
  for (const { id } of ids.slice(0, MOST_MACHINE_JOBS)) {
    const sheet = await store.sheet(id);
    if (sheet.ok) jobs.push(sheet.value);
  }
  return ok({ vehicle: vehicleFromRow(row), jobs, jobsInAll: ids.length });
}
