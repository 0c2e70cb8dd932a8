import { Agent, request } from 'node:http';
import pg from 'pg';
import { v7 } from 'uuid';
import { SHIPPED_SENSORS } from '../../server/sensors/shippedSensors.ts';
import { startServer } from '../server.mjs';

const READINGS = 6000;
const CONNECTIONS = 8;
const ROUNDS = 3;
const READ = { state: { engine: 'koeo', plug: 'connected' }, lane: 'signal', place: 'plug', volts: 2.31 };

/** Readings a second through the whole application, against the database taking the same rows by itself. */
export async function recordingRatio(
  databaseUrl: string,
): Promise<{ value: number; unit: string; ratio: number }> {
  const server = await startServer({ databaseUrl, logLevel: 'silent' });
  const { port } = server;
  const pool = new pg.Pool({ connectionString: databaseUrl, max: CONNECTIONS });
  const jobId = await aJob(pool);
  const agent = new Agent({ keepAlive: true, maxSockets: CONNECTIONS });
  let application = 0;
  let alone = 0;
  // In turns, so that a change of the machine's mood meets both.
  for (let round = 0; round < ROUNDS; round++) {
    application = Math.max(application, await rate(() => post(port, agent, jobId)));
    alone = Math.max(alone, await rate(() => insert(pool, jobId)));
  }
  agent.destroy();
  await pool.end();
  await server.stop();
  return { value: application, unit: 'a second', ratio: application / alone };
}

async function aJob(pool: pg.Pool): Promise<string> {
  const vehicleId = v7();
  const jobId = v7();
  await pool.query('insert into vehicle (id, name) values ($1, $2)', [vehicleId, 'Brill P4 pump engine']);
  await pool.query(
    `insert into job (id, vehicle_id, sensor_id, complaint, codes, history, opened_at)
     values ($1, $2, $3, 'stalls', '{}', '', now())`,
    [jobId, vehicleId, SHIPPED_SENSORS[0]?.id],
  );
  return jobId;
}

async function rate(one: () => Promise<void>): Promise<number> {
  const start = performance.now();
  let left = READINGS;
  const worker = async () => {
    while (left-- > 0) await one();
  };
  await Promise.all(Array.from({ length: CONNECTIONS }, worker));
  return (READINGS * 1000) / (performance.now() - start);
}

function post(port: number, agent: Agent, jobId: string): Promise<void> {
  const body = JSON.stringify({
    id: v7(),
    jobId,
    kind: 'wire',
    takenAt: new Date().toISOString(),
    enteredText: '2.31',
    ...READ,
  });
  return new Promise((resolve, reject) => {
    const headers = { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) };
    const path = `/api/jobs/${jobId}/readings`;
    const sent = request({ host: '127.0.0.1', port, path, method: 'POST', agent, headers }, (response) => {
      response.resume();
      response.on('end', () =>
        response.statusCode === 201
          ? resolve()
          : reject(new Error(`The server answered ${response.statusCode}.`)),
      );
    });
    sent.on('error', reject);
    sent.end(body);
  });
}

async function insert(pool: pg.Pool, jobId: string): Promise<void> {
  await pool.query(
    `insert into reading (id, job_id, kind, taken_at, entered_text, payload)
     values ($1, $2, 'wire', $3, '2.31', $4)`,
    [v7(), jobId, new Date(), JSON.stringify(READ)],
  );
}
