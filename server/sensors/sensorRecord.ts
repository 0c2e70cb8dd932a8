import type { SensorRecord } from '@lettura/contract';
import { ok, type Result } from '@lettura/core/measure/problem';
import { and, eq, isNull } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { jobTable, sensorTable } from '../db/schema.ts';
import { newestSheets } from '../jobs/newestSheets.ts';
import { noSuchSensor, sensorStore } from './sensorStore.ts';

/** One sensor with every job on it; what a simulated machine shows was read on none. */
export async function sensorRecordOf(
  db: Database,
  sensorId: string,
): Promise<Result<SensorRecord, 'not-found'>> {
  const sensor = await sensorStore(db).find(sensorId);
  if (!sensor) return noSuchSensor();
  const onReal = and(eq(sensorTable.lineageId, sensor.lineageId), isNull(jobTable.bench))!;
  return ok({ sensor, ...(await newestSheets(db, onReal)) });
}
