import type { Sensor } from '@lettura/contract';
import { asc, eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { recordOnce } from '../db/recordOnce.ts';
import { sensorTable } from '../db/schema.ts';

const columns = {
  id: sensorTable.id,
  name: sensorTable.name,
  source: sensorTable.source,
  profile: sensorTable.profile,
};

export const sensorStore = (db: Database) => ({
  list: (): Promise<Sensor[]> => db.select(columns).from(sensorTable).orderBy(asc(sensorTable.name)),
  record: (given: Sensor) =>
    recordOnce(
      given,
      async () => (await db.insert(sensorTable).values(given).onConflictDoNothing().returning(columns))[0],
      async () => (await db.select(columns).from(sensorTable).where(eq(sensorTable.id, given.id)))[0],
    ),
});
