// npm run demo: everything that is needed, from an empty folder to a working page.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureWebBuild } from './build.mjs';
import { checkNode, ensureDebianPackages, ensureNodeModules } from './install.mjs';
import { cluster, freePort, serverUserCanEnter } from './postgres.mjs';
import { root } from './run.mjs';
import { main, step, Stop } from './say.mjs';
import { startServer } from './server.mjs';

const PREFERRED_PORT = 4730;

await main(async () => {
  const start = Date.now();
  checkNode();
  await ensureDebianPackages();
  await ensureNodeModules();
  const folder = await dataFolder();
  const pidFile = join(root, '.data', 'demo.pid');
  refuseSecond(pidFile);
  const database = cluster(folder);
  if (!database.exists()) await step('Creating the database', () => database.create());
  // A demo that was killed leaves its database running: it is stopped and started again.
  if (await database.isRunning()) await database.stop();
  await ensureWebBuild();
  await step('Starting the database', () => database.start());
  let server;
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    console.log('\nStopping …');
    await server?.stop();
    await database.stop();
    rmSync(pidFile, { force: true });
    console.log('Stopped. Everything entered is kept for the next start.');
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
  try {
    await database.ensureDatabase('lettura');
    server = await step('Starting the server', async () =>
      startServer({ databaseUrl: database.url('lettura'), port: await port(), data: 'demo' }),
    );
    writeFileSync(pidFile, JSON.stringify({ pid: process.pid, url: server.url }));
    console.log(
      `\nLettura is ready after ${((Date.now() - start) / 1000).toFixed(1)} s:\n\n  ${server.url}\n\nCtrl-C stops it.`,
    );
    await server.exited;
  } finally {
    await stop();
  }
});

/** In the project, unless the database's user cannot reach it there. */
async function dataFolder() {
  const inProject = join(root, '.data');
  mkdirSync(inProject, { recursive: true });
  if (await serverUserCanEnter(inProject)) return join(inProject, 'postgres');
  return join('/var/lib/lettura', createHash('sha256').update(root).digest('hex').slice(0, 12));
}

function refuseSecond(pidFile) {
  if (!existsSync(pidFile)) return;
  const { pid, url } = JSON.parse(readFileSync(pidFile, 'utf8'));
  try {
    process.kill(pid, 0);
  } catch {
    return; // it has gone without tidying up
  }
  throw new Stop(`The demo is running already: ${url}`);
}

async function port() {
  const { createServer } = await import('node:net');
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(freePort()));
    probe.listen(PREFERRED_PORT, '127.0.0.1', () => probe.close(() => resolve(PREFERRED_PORT)));
  });
}
