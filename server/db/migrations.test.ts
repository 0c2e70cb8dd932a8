import { readdirSync, readFileSync } from 'node:fs';
import { newSensor, verdict } from '@lettura/contract';
import pg from 'pg';
import { v7 } from 'uuid';
import { expect, test } from 'vitest';
import { sensorColumns, sensorFromRow } from '../sensors/sensorStore.ts';
import { connect } from './connect.ts';
import { sensorTable, verdictTable } from './schema.ts';
import { verdictFromRow } from '../verdicts/verdictRow.ts';
import { readingStore } from '../readings/readingStore.ts';
import { pino } from 'pino';

/** Every migration, in order. */
const TAGS = readdirSync(new URL('./migrations/', import.meta.url))
  .filter((name) => name.endsWith('.sql'))
  .map((name) => name.slice(0, -'.sql'.length))
  .sort();
const OLD = {
  nominalReferenceVolts: 5,
  lowestKpaAbs: 20,
  highestKpaAbs: 200,
  circuitLowVolts: 0.25,
  circuitHighVolts: 4.75,
  toleranceKpa: 3,
  differenceThatMattersKpa: 6.8,
  bias: 'pull-up',
};
const TRANSFERS = [
  { form: 'ratiometric', sharePerKpa: 0.004, shareAtZero: -0.04 },
  { form: 'linear', low: { volts: 0.5, kpaAbs: 20 }, high: { volts: 4.5, kpaAbs: 200 } },
  {
    form: 'table',
    ratiometric: true,
    points: [
      { volts: 0.5, kpaAbs: 20 },
      { volts: 2, kpaAbs: 80 },
      { volts: 4.5, kpaAbs: 200 },
    ],
  },
];

test('a database of the first version keeps its sensors and readings through the migration', async () => {
  const clusterUrl = process.env.TEST_CLUSTER_URL ?? '';
  const name = `old_${v7().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: clusterUrl });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  const { db, pool } = connect(clusterUrl.replace(/\/[^/]*$/u, `/${name}`), pino({ level: 'silent' }));
  const migrate = async (tag: string) => {
    const file = new URL(`./migrations/${tag}.sql`, import.meta.url);
    for (const statement of readFileSync(file, 'utf8').split('--> statement-breakpoint'))
      await pool.query(statement);
  };
  await migrate('0000_first');
  await migrate('0001_append_only');
  const sensorIds = TRANSFERS.map(() => v7());
  for (const [i, transfer] of TRANSFERS.entries()) {
    await pool.query('insert into sensor (id, name, source, profile) values ($1, $2, $3, $4)', [
      sensorIds[i],
      `Old ${transfer.form}`,
      'workshop',
      { ...OLD, transfer },
    ]);
  }
  const [vehicleId, jobId] = [v7(), v7()];
  await pool.query('insert into vehicle (id, name) values ($1, $2)', [vehicleId, 'Tolland 95 tractor']);
  await pool.query(
    `insert into job (id, vehicle_id, sensor_id, complaint, codes, history, opened_at)
     values ($1, $2, $3, 'stalls', '{}', '', now())`,
    [jobId, vehicleId, sensorIds[0]],
  );
  await pool.query(
    `insert into reading (id, job_id, kind, taken_at, entered_text, engine_state, plug_state, pressure_kpa, pressure_basis)
     values ($1, $2, 'scan', now(), 'scan 47 kPa', 'idle', 'connected', 47, 'absolute')`,
    [v7(), jobId],
  );

  await pool.query(
    `insert into verdict (id, job_id, decided_at, cause, note) values ($1, $2, now(), 'reference-open', 'clip')`,
    [v7(), jobId],
  );

  for (const tag of TAGS.slice(TAGS.indexOf('0002_measuring'))) await migrate(tag);

  const sensors = (await db.select(sensorColumns).from(sensorTable)).map(sensorFromRow);
  expect(sensors).toHaveLength(3);
  for (const { lineageId, version, ...rest } of sensors) {
    expect(newSensor.parse(rest)).toMatchObject({
      family: 'manifold-pressure',
      profile: { measures: 'absolute-pressure', lowest: 20, highest: 200, differenceThatMatters: 6.8 },
    });
    expect(rest.profile.tolerance).toEqual({ form: 'plus-minus', plusMinus: 3 });
    expect({ lineageId, version }).toEqual({ lineageId: rest.id, version: 1 });
  }
  const byForm = new Map(sensors.map(({ profile }) => [profile.transfer.form, profile.transfer]));
  expect(byForm.get('ratiometric')).toEqual({ form: 'ratiometric', sharePerUnit: 0.004, shareAtZero: -0.04 });
  expect(byForm.get('linear')).toMatchObject({
    low: { volts: 0.5, value: 20 },
    high: { volts: 4.5, value: 200 },
  });
  expect(byForm.get('table')).toMatchObject({
    points: [
      { volts: 0.5, value: 20 },
      { volts: 2, value: 80 },
      { volts: 4.5, value: 200 },
    ],
  });
  const readings = await readingStore(db).ofJob(jobId);
  expect(readings).toMatchObject([{ kind: 'scan', measures: 'absolute-pressure', value: 47 }]);
  // A cause from before the circuit was reasoned with stays what it was, and readable.
  const [old] = await db.select().from(verdictTable);
  expect(verdict.parse(verdictFromRow(old!))).toMatchObject({ cause: 'reference-open', note: 'clip' });
  await pool.end();
});
