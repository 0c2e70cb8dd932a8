import { randomBytes } from 'node:crypto';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import pg from 'pg';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { connect, migrateToLatest } from './db/connect.ts';
import { shipInstruments } from './instruments/shippedInstruments.ts';
import { endPictures } from './pictures/picturedApart.ts';
import { endReports } from './report/printedApart.ts';
import { endProofs } from './verdicts/proof.ts';
import { shipSensors } from './sensors/shippedSensors.ts';

/** The real application on a database of its own, for one test file. */
export async function testServer() {
  const clusterUrl = process.env.TEST_CLUSTER_URL;
  if (!clusterUrl) throw new Error('Run the tests with npm test: it starts the database they need.');
  const name = `test_${randomBytes(6).toString('hex')}`;
  const admin = new pg.Client({ connectionString: clusterUrl });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  const databaseUrl = clusterUrl.replace(/\/[^/]*$/u, `/${name}`);
  const log = pino({ level: 'silent' });
  const { db, pool } = connect(databaseUrl, log);
  await migrateToLatest(pool);
  await shipSensors(db);
  await shipInstruments(db);
  const server = createServer(createApp({ db, log }));
  // A test that computes holds up server and client alike: meanwhile no idle connection runs out.
  server.keepAliveTimeout = 0;
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`;
  return {
    base,
    db,
    pool,
    databaseUrl,
    async call(method: string, path: string, body?: unknown) {
      const response = await fetch(base + path, {
        method,
        headers: { 'content-type': 'application/json' },
        ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
      });
      const text = await response.text();
      return {
        status: response.status,
        type: response.headers.get('content-type') ?? '',
        // Tests look at single fields of many shapes; the contract's own schemas are checked in the browser client.

        body: JSON.parse(text),
      };
    },
    async close() {
      await new Promise((resolve) => server.close(resolve));
      await endProofs();
      await endReports();
      await endPictures();
      await pool.end();
    },
  };
}
