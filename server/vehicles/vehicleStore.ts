import type { Vehicle } from '@lettura/contract';
import { asc, eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import type { Actor } from '../http/actor.ts';
import { recordOnce } from '../db/recordOnce.ts';
import { vehicleTable } from '../db/schema.ts';

export const vehicleColumns = {
  id: vehicleTable.id,
  name: vehicleTable.name,
  displacementLitres: vehicleTable.displacementLitres,
};
type Row = Pick<typeof vehicleTable.$inferSelect, keyof typeof vehicleColumns>;

export const vehicleFromRow = ({ displacementLitres, ...row }: Row): Vehicle => ({
  ...row,
  ...(displacementLitres === null ? {} : { displacementLitres }),
});

export const vehicleStore = (db: Database) => ({
  async list(): Promise<Vehicle[]> {
    const rows = await db.select(vehicleColumns).from(vehicleTable).orderBy(asc(vehicleTable.name));
    return rows.map(vehicleFromRow);
  },
  record: (given: Vehicle, { author }: Actor) =>
    recordOnce<Vehicle>(
      given,
      async () => {
        const [row] = await db
          .insert(vehicleTable)
          .values({ ...given, author })
          .onConflictDoNothing()
          .returning(vehicleColumns);
        return row && vehicleFromRow(row);
      },
      async () => {
        const [row] = await db.select(vehicleColumns).from(vehicleTable).where(eq(vehicleTable.id, given.id));
        return row && vehicleFromRow(row);
      },
    ),
});
