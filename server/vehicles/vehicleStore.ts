import type { Vehicle } from '@lettura/contract';
import { asc, eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { recordOnce } from '../db/recordOnce.ts';
import { vehicleTable } from '../db/schema.ts';

const columns = { id: vehicleTable.id, name: vehicleTable.name };

export const vehicleStore = (db: Database) => ({
  list: (): Promise<Vehicle[]> => db.select(columns).from(vehicleTable).orderBy(asc(vehicleTable.name)),
  record: (given: Vehicle) =>
    recordOnce(
      given,
      async () => (await db.insert(vehicleTable).values(given).onConflictDoNothing().returning(columns))[0],
      async () => (await db.select(columns).from(vehicleTable).where(eq(vehicleTable.id, given.id)))[0],
    ),
});
