// npm run demo: everything that is needed, from an empty folder to a working page.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { connect, createServer } from 'node:net';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ensureWebBuild } from './build.mjs';
import { checkNode, ensureDebianPackages, ensureNodeModules } from './install.mjs';
import { cluster, freePort, serverUserCanEnter } from './postgres.mjs';
import { root } from './run.mjs';
import { main, step, Stop } from './say.mjs';
import { startServer } from './server.mjs';

const PREFERRED_PORT = 4730;
const RESTART_MS = 1500;
/** Database, port and process number of the demo; another folder makes another demo. */
const kept = process.env.LETTURA_DEMO_FOLDER ?? join(root, '.data');

await main(async () => {
  const began = Date.now();
  checkNode();
  await ensureDebianPackages();
  await ensureNodeModules();
  const folder = await dataFolder();
  const pidFile = join(kept, 'demo.pid');
  refuseSecond(pidFile);
  const database = cluster(folder);
  if (!database.exists()) await step('Creating the database', () => database.create());
  // A demo that was killed leaves its database running: it is stopped and started again.
  if (await database.isRunning()) await database.stop();
  await ensureWebBuild();
  await step('Starting the database', () => database.start());
  let server;
  let stopping = false;
  // Should this process be killed outright, somebody else stops the database; the server ends by itself.
  const watcher = spawn(process.execPath, [join(root, 'scripts', 'stop-after-parent.mjs'), folder], {
    stdio: ['pipe', 'ignore', 'ignore'],
    detached: true,
  });
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    console.log('\nStopping …');
    await server?.stop();
    await database.stop();
    watcher.stdin.end('done');
    rmSync(pidFile, { force: true });
    console.log('Stopped. Everything entered is kept for the next start.');
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
  try {
    const databaseUrl = await database.ensureDatabase('lettura');
    const onPort = await portOf(join(kept, 'port'));
    const start = () => startServer({ databaseUrl, port: onPort, data: 'demo' });
    server = await step('Starting the server', start);
    writeFileSync(pidFile, JSON.stringify({ pid: process.pid, url: server.url }));
    console.log(
      `\nLettura is ready after ${((Date.now() - began) / 1000).toFixed(1)} s:\n\n  ${server.url}\n\nCtrl-C stops it.`,
    );
    void keepDatabase(database, () => stopping);
    while (!stopping) {
      await server.exited;
      if (stopping) break;
      console.log('The server has ended by itself: it is started again.');
      await wait(RESTART_MS);
      server = await start().catch((error) => {
        console.error(error.message);
        return server;
      });
    }
  } finally {
    await stop();
  }
});

/** A database that was killed comes back on the same port, so that the server finds it again. */
async function keepDatabase(database, isStopping) {
  const { port } = database;
  while (!isStopping()) {
    await wait(RESTART_MS);
    if (isStopping() || (await answers(port))) continue;
    await wait(RESTART_MS);
    if (isStopping() || (await answers(port))) continue;
    console.log('The database does not answer: it is started again.');
    await database.stop({ mode: 'immediate' });
    await database.start({ onPort: port }).catch((error) => console.error(error.message));
  }
}

function answers(port) {
  return new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1');
    socket.once('connect', () => {
      socket.destroy();
      resolve(true);
    });
    socket.once('error', () => resolve(false));
  });
}

/** In the project, unless the database's user cannot reach it there. */
async function dataFolder() {
  mkdirSync(kept, { recursive: true });
  if (await serverUserCanEnter(kept)) return join(kept, 'postgres');
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

/**
 * The port of last time: what waits in a browser belongs to the very address it was entered at. The first time it is the usual
 * one, or any other that is free.
 */
async function portOf(file) {
  const known = existsSync(file) ? Number(readFileSync(file, 'utf8')) : undefined;
  const wanted = known ?? PREFERRED_PORT;
  for (let tries = 0; tries < (known ? 20 : 1); tries++) {
    if (await isFree(wanted)) {
      writeFileSync(file, String(wanted));
      return wanted;
    }
    await wait(500); // a server of before may still be ending
  }
  if (known)
    throw new Stop(
      `Port ${wanted} is taken by something else. End that, or remove ${file} to take another port: what still waits in a browser stays with the old address.`,
    );
  const other = await freePort();
  writeFileSync(file, String(other));
  return other;
}

function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
}
