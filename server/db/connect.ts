import { fileURLToPath } from 'node:url';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import type { Logger } from 'pino';

export type Database = NodePgDatabase;

export function connect(databaseUrl: string, log: Logger): { db: Database; pool: pg.Pool } {
  const pool = new pg.Pool({
    connectionString: databaseUrl,
    max: 10,
    connectionTimeoutMillis: 3000,
    // Who waits for a locked table gives up before the pool runs dry: the other tables go on answering.
    lock_timeout: 1500,
    statement_timeout: 15_000,
    query_timeout: 20_000,
    idle_in_transaction_session_timeout: 15_000,
  });
  // An idle connection that the database drops must not take the server with it: the next query reconnects.
  pool.on('error', (error) => log.warn({ reason: error.message }, 'a database connection was lost'));
  return { db: drizzle(pool), pool };
}

const MIGRATION_LOCK = 7_254_001;

/** Several servers may start together: a lock lets one migrate while the others wait. */
export async function migrateToLatest(pool: pg.Pool): Promise<void> {
  const client = await pool.connect();
  try {
    // A migration may wait for others and take its time.
    await client.query('set lock_timeout = 0; set statement_timeout = 0');
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await migrate(drizzle(client), {
      migrationsFolder: fileURLToPath(new URL('./migrations', import.meta.url)),
    });
  } finally {
    await client.query('select pg_advisory_unlock($1)', [MIGRATION_LOCK]).catch(() => undefined);
    client.release(true); // its settings are not those of the others
  }
}
