import { MOST_KNOWN_GOOD_JOBS, provenGood, type KnownGoodRecord } from '@lettura/contract';
import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { jobTable } from '../db/schema.ts';
import { jobStore } from '../jobs/jobStore.ts';

/** What this workshop has read on machines with this version of a sensor that were proven good. */
export async function knownGoodOfSensor(db: Database, sensorId: string): Promise<KnownGoodRecord> {
  const ids = await db
    .select({ id: jobTable.id })
    .from(jobTable)
    .where(and(eq(jobTable.sensorId, sensorId), isNull(jobTable.deletedAt), isNull(jobTable.bench)))
    .orderBy(desc(jobTable.openedAt), desc(jobTable.id));
  const store = jobStore(db);
  const jobs: KnownGoodRecord['jobs'] = [];
  const newest = ids.slice(0, MOST_KNOWN_GOOD_JOBS);
  for (const { id } of newest) {
    const sheet = await store.sheet(id);
    const good = sheet.ok ? provenGood(sheet.value) : undefined;
    if (sheet.ok && good) jobs.push({ jobId: id, vehicleName: sheet.value.vehicle.name, ...good });
  }
  return { jobs, lookedAt: newest.length, jobsInAll: ids.length };
}
