import { say } from '@lettura/core/measure/message';
import { caseFileOf, lanesOf, NOT_PROVEN, type JobVerdict } from '@lettura/contract';
import { fail, type Result } from '@lettura/core/measure/problem';
import { eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import type { Actor } from '../http/actor.ts';
import { recordOnce } from '../db/recordOnce.ts';
import { verdictTable } from '../db/schema.ts';
import type { Recorded } from '../http/serve.ts';
import { jobStore } from '../jobs/jobStore.ts';
import { openJobIn, type JobFault } from '../jobs/openJob.ts';
import { missingProofApart } from './proof.ts';
import { verdictFromRow } from './verdictRow.ts';

export const verdictStore = (db: Database) => {
  const openJob = openJobIn(db);
  const jobs = jobStore(db);
  const find = async (id: string) => {
    const [row] = await db.select().from(verdictTable).where(eq(verdictTable.id, id));
    return row && verdictFromRow(row);
  };
  return {
    /** The same weighing as on the screen guards the record: no part is condemned while its proof is missing. */
    async record(
      given: JobVerdict,
      { author }: Actor,
    ): Promise<Result<Recorded<JobVerdict>, JobFault | 'id-conflict' | 'gate-not-met'>> {
      const open = await openJob(given.jobId);
      if (!open.ok) return open;
      // A repeat of what is on record stays true even if later readings have changed the weighing.
      if (given.cause !== NOT_PROVEN && !(await find(given.id))) {
        const sheet = await jobs.sheet(given.jobId);
        if (!sheet.ok) return sheet;
        const { sensor, job } = sheet.value;
        const wires = lanesOf({ ...sensor, pins: job.pins ?? sensor.pins });
        const caseFile = caseFileOf(sheet.value);
        const missing = await missingProofApart({ cause: given.cause, caseFile, wires });
        if (missing !== undefined) {
          const next = say('server.take-next-reading-or-record');
          return fail('gate-not-met', missing, next);
        }
      }
      return recordOnce(
        given,
        async () => {
          const values = { ...given, author, decidedAt: new Date(given.decidedAt) };
          const [row] = await db.insert(verdictTable).values(values).onConflictDoNothing().returning();
          return row && verdictFromRow(row);
        },
        () => find(given.id),
      );
    },
  };
};
