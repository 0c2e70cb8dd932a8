import { existsSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { readConfig, toldOf } from './config.ts';
import { connect, migrateToLatest } from './db/connect.ts';
import { untilItAnswers } from './db/untilItAnswers.ts';
import { seedDemo } from './demo/seedDemo.ts';
import { feedsOf } from './feeds/feedsOf.ts';
import { shipInstruments } from './instruments/shippedInstruments.ts';
import { endPictures } from './pictures/picturedApart.ts';
import { endReports } from './report/printedApart.ts';
import { endProofs } from './verdicts/proof.ts';
import { shipSensors } from './sensors/shippedSensors.ts';

const config = readConfig(process.env);
if (!config.success) {
  console.error(`Lettura cannot start:\n${toldOf(config.error)}`);
  process.exit(2);
}
const { DATABASE_URL, HOST, PORT, LOG_LEVEL, LETTURA_DATA, LETTURA_HOSTS } = config.data;
const { LETTURA_METER, LETTURA_METER_CHANNELS, LETTURA_LIVE_DATA } = config.data;

const webFolder = fileURLToPath(new URL('../web/dist', import.meta.url));
if (!existsSync(webFolder)) {
  console.error('The web application is not built yet. Run: npm run build');
  process.exit(2);
}

const log = pino({ level: LOG_LEVEL });
const { db, pool } = connect(DATABASE_URL, log);
await untilItAnswers(() => migrateToLatest(pool), log);
await shipSensors(db);
await shipInstruments(db);
if (LETTURA_DATA === 'demo') await seedDemo(db);

const stopping = new AbortController();
const standIn = LETTURA_DATA === 'demo' ? 'simulated' : 'none';
const followed = await feedsOf(
  {
    meters: LETTURA_METER ?? [standIn],
    meterChannels: LETTURA_METER_CHANNELS ?? [],
    liveData: LETTURA_LIVE_DATA ?? standIn,
  },
  log,
);
const server = createServer(
  createApp({
    db,
    log,
    webFolder,
    stopping: stopping.signal,
    feeds: followed.feeds,
    allowedHosts: LETTURA_HOSTS,
  }),
);
server.listen(PORT, HOST, () => {
  const { address, port } = server.address() as AddressInfo;
  log.info({ address, port }, 'listening');
  process.send?.({ listening: port });
});

/** How long what was asked may take before it is cut off. */
const DRAIN_MS = 5000;

/** Answers what has been asked, takes nothing new, and lets the database go. */
function stop(): void {
  log.info('stopping');
  stopping.abort();
  void followed.stop();
  const end = () =>
    void Promise.all([pool.end(), endProofs(), endReports(), endPictures()]).then(() => process.exit(0));
  server.close(end);
  server.closeIdleConnections();
  setTimeout(() => {
    log.warn('cutting off what is still being answered');
    server.closeAllConnections();
  }, DRAIN_MS).unref();
}
process.once('SIGINT', stop);
process.once('SIGTERM', stop);
// Started by a script that has died, however: nothing is left running.
if (process.send) process.once('disconnect', stop);
