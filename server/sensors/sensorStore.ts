import { say, verbatim } from '@lettura/core/measure/message';
import type { NewSensor, Sensor, SensorFile } from '@lettura/contract';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import { asc, desc, eq, inArray } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import type { Actor } from '../http/actor.ts';
import { sameRecord } from '../db/recordOnce.ts';
import { recordVersion } from '../db/recordVersion.ts';
import { sensorTable } from '../db/schema.ts';

export const sensorColumns = {
  id: sensorTable.id,
  name: sensorTable.name,
  family: sensorTable.family,
  source: sensorTable.source,
  notes: sensorTable.notes,
  profile: sensorTable.profile,
  companion: sensorTable.companion,
  pins: sensorTable.pins,
  lineageId: sensorTable.lineageId,
  version: sensorTable.version,
};
type Row = Omit<Sensor, 'companion'> & { companion: Sensor['companion'] | null };

export const sensorFromRow = ({ companion, ...row }: Row): Sensor => ({
  ...row,
  ...(companion ? { companion } : {}),
});

export const noSuchSensor = () =>
  fail('not-found', say('server.there-no-such-sensor'), say('server.go-back-library-choose-one'));

export const sensorStore = (db: Database) => {
  const find = async (id: string): Promise<Sensor | undefined> => {
    const [row] = await db.select(sensorColumns).from(sensorTable).where(eq(sensorTable.id, id));
    return row && sensorFromRow(row);
  };
  return {
    find,

    async list(): Promise<Sensor[]> {
      const newest = await db
        .selectDistinctOn([sensorTable.lineageId], sensorColumns)
        .from(sensorTable)
        .orderBy(sensorTable.lineageId, desc(sensorTable.version));
      return newest.map(sensorFromRow).sort((a, b) => a.name.localeCompare(b.name, 'en'));
    },

    async versions(id: string): Promise<Result<Sensor[], 'not-found'>> {
      const one = await find(id);
      if (!one) return noSuchSensor();
      const rows = await db
        .select(sensorColumns)
        .from(sensorTable)
        .where(eq(sensorTable.lineageId, one.lineageId))
        .orderBy(desc(sensorTable.version));
      return ok(rows.map(sensorFromRow));
    },

    record: (given: NewSensor, { author }: Actor) =>
      recordVersion<Sensor>(given, {
        find,
        insert: async (full) => {
          const [row] = await db
            .insert(sensorTable)
            .values({ ...full, author })
            .onConflictDoNothing()
            .returning(sensorColumns);
          return row && sensorFromRow(row);
        },
      }),

    /** All or none: a file half taken in would be worse than one refused. */
    async importFile(
      { sensors }: SensorFile,
      { author }: Actor,
    ): Promise<Result<{ added: number; known: number }, 'id-conflict'>> {
      const ids = sensors.map(({ id }) => id);
      return db.transaction(async (tx) => {
        const there = await tx
          .select(sensorColumns)
          .from(sensorTable)
          .where(inArray(sensorTable.id, ids))
          .orderBy(asc(sensorTable.id));
        const byId = new Map(there.map((row) => [row.id, sensorFromRow(row)]));
        const taken = sensors.findIndex((sensor) => {
          const known = byId.get(sensor.id);
          return known !== undefined && !sameRecord(known, sensor);
        });
        if (taken >= 0) {
          return fail(
            'id-conflict',
            say('server.sensor-id-different-sensor-library', {
              number: taken + 1,
              name: verbatim(sensors[taken]?.name ?? ''),
            }),
            say('server.give-new-id-file-change'),
          );
        }
        const fresh = sensors.filter(({ id }) => !byId.has(id));
        // The same file may be on its way twice: whoever comes second finds what the first has added.
        const added =
          fresh.length === 0
            ? []
            : await tx
                .insert(sensorTable)
                .values(fresh.map((sensor) => ({ ...sensor, author, lineageId: sensor.id, version: 1 })))
                .onConflictDoNothing()
                .returning({ id: sensorTable.id });
        return ok({ added: added.length, known: sensors.length - added.length });
      });
    },
  };
};
