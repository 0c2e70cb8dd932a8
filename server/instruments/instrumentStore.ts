import type { Instrument, NewInstrument } from '@lettura/contract';
import { desc, eq, inArray } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import type { Actor } from '../http/actor.ts';
import { recordVersion } from '../db/recordVersion.ts';
import { instrumentTable } from '../db/schema.ts';

const columns = {
  id: instrumentTable.id,
  name: instrumentTable.name,
  sort: instrumentTable.sort,
  accuracy: instrumentTable.accuracy,
  lowest: instrumentTable.lowest,
  highest: instrumentTable.highest,
  calibratedOn: instrumentTable.calibratedOn,
  calibrationDue: instrumentTable.calibrationDue,
  notes: instrumentTable.notes,
  retired: instrumentTable.retired,
  lineageId: instrumentTable.lineageId,
  version: instrumentTable.version,
};
type Row = Omit<typeof instrumentTable.$inferSelect, 'recordedAt' | 'author'>;

const fromRow = ({ calibratedOn, calibrationDue, ...row }: Row): Instrument => ({
  ...row,
  ...(calibratedOn ? { calibratedOn } : {}),
  ...(calibrationDue ? { calibrationDue } : {}),
});

export const instrumentStore = (db: Database) => {
  const find = async (id: string): Promise<Instrument | undefined> => {
    const [row] = await db.select(columns).from(instrumentTable).where(eq(instrumentTable.id, id));
    return row && fromRow(row);
  };
  return {
    find,

    async list(): Promise<Instrument[]> {
      const newest = await db
        .selectDistinctOn([instrumentTable.lineageId], columns)
        .from(instrumentTable)
        .orderBy(instrumentTable.lineageId, desc(instrumentTable.version));
      return newest.map(fromRow).sort((a, b) => a.name.localeCompare(b.name, 'en'));
    },

    async ofIds(ids: readonly string[]): Promise<Instrument[]> {
      if (ids.length === 0) return [];
      const rows = await db
        .select(columns)
        .from(instrumentTable)
        .where(inArray(instrumentTable.id, [...ids]));
      return rows.map(fromRow);
    },

    record: (given: NewInstrument, { author }: Actor) =>
      recordVersion<Instrument>(given, {
        find,
        insert: async (full) => {
          const [row] = await db
            .insert(instrumentTable)
            .values({ ...full, author })
            .onConflictDoNothing()
            .returning(columns);
          return row && fromRow(row);
        },
      }),
  };
};
