import { readdirSync, readFileSync } from 'node:fs';
import { pino } from 'pino';
import pg from 'pg';
import { v7 } from 'uuid';
import { connect } from './connect.ts';

const folder = new URL('./migrations/', import.meta.url);
/** Every migration, in order. */
export const TAGS = readdirSync(folder)
  .filter((name) => name.endsWith('.sql'))
  .map((name) => name.slice(0, -'.sql'.length))
  .sort();

/** For tests: a database as an earlier version left it, and what brings it on. */
export async function oldDatabase(version: string) {
  const clusterUrl = process.env.TEST_CLUSTER_URL ?? '';
  const name = `old_${v7().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: clusterUrl });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  const { db, pool } = connect(clusterUrl.replace(/\/[^/]*$/u, `/${name}`), pino({ level: 'silent' }));
  const migrate = async (tags: readonly string[]) => {
    // One connection, as the migration itself has it: what is temporary lives as long as that.
    const client = await pool.connect();
    for (const tag of tags)
      for (const statement of readFileSync(new URL(`${tag}.sql`, folder), 'utf8').split(
        '--> statement-breakpoint',
      ))
        await client.query(statement);
    client.release();
  };
  const at = TAGS.indexOf(version);
  await migrate(TAGS.slice(0, at + 1));
  const insert = (table: string, row: Record<string, unknown>) => {
    const names = Object.keys(row);
    return pool.query(
      `insert into ${table} (${names.join()}) values (${names.map((_, i) => `$${i + 1}`).join()})`,
      Object.values(row),
    );
  };
  const [vehicleId, sensorId, jobId] = [v7(), v7(), v7()];
  await insert('vehicle', { id: vehicleId, name: 'Tolland 95 tractor' });
  const lineage =
    at >= TAGS.indexOf('0002_measuring') ? { family: 'other', lineage_id: sensorId, version: 1 } : {};
  await insert('sensor', { id: sensorId, name: 'Old', source: 'workshop', profile: {}, ...lineage });
  await insert('job', {
    id: jobId,
    vehicle_id: vehicleId,
    sensor_id: sensorId,
    complaint: 'stalls',
    codes: [],
    history: '',
    opened_at: new Date(),
  });
  return { db, pool, jobId, insert, bringUpToDate: () => migrate(TAGS.slice(at + 1)) };
}
