import type { MachineRecord } from '@lettura/contract';
import { say } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import { eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { jobTable, vehicleTable } from '../db/schema.ts';
import { newestSheets } from '../jobs/newestSheets.ts';
import { vehicleColumns, vehicleFromRow } from './vehicleStore.ts';

/** One machine with what was done on it. */
export async function machineRecordOf(
  db: Database,
  vehicleId: string,
): Promise<Result<MachineRecord, 'not-found'>> {
  const [row] = await db.select(vehicleColumns).from(vehicleTable).where(eq(vehicleTable.id, vehicleId));
  if (!row) return fail('not-found', say('server.no-such-machine'), say('server.go-back-list-jobs-open'));
  return ok({ vehicle: vehicleFromRow(row), ...(await newestSheets(db, eq(jobTable.vehicleId, vehicleId))) });
}
