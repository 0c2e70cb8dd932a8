import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './run.mjs';
import { Stop } from './say.mjs';

/**
 * Starts the server as a process of its own and waits until it listens.
 *
 * @param {{ databaseUrl: string, port?: number, data?: 'demo' | 'none', logLevel?: string, feeds?: string, liveData?: string }} options
 * @returns {Promise<{ url: string, port: number, exited: Promise<unknown>, stop(signal?: NodeJS.Signals): Promise<void> }>}
 */
export async function startServer({
  databaseUrl,
  port = 0,
  data = 'none',
  logLevel = 'warn',
  feeds,
  liveData = feeds,
}) {
  const child = spawn(process.execPath, ['--import', 'tsx', join('server', 'main.ts')], {
    cwd: root,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: databaseUrl,
      HOST: '127.0.0.1',
      PORT: String(port),
      LOG_LEVEL: logLevel,
      LETTURA_DATA: data,
      ...(feeds === undefined ? {} : { LETTURA_METER: feeds }),
      ...(liveData === undefined ? {} : { LETTURA_LIVE_DATA: liveData }),
    },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  const exited = new Promise((resolve) => child.once('exit', resolve));
  const listening = await Promise.race([
    new Promise((resolve) => child.once('message', ({ listening: at }) => resolve(at))),
    exited.then(() => undefined),
  ]);
  if (listening === undefined) throw new Stop('The server did not start; its reason is printed above.');
  // The channel stays open: a server whose starter has died ends by itself.
  child.channel?.unref();
  return {
    url: `http://127.0.0.1:${listening}`,
    port: listening,
    exited,
    async stop(signal = 'SIGTERM') {
      child.kill(signal);
      await exited;
    },
  };
}
