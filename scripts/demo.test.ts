import { spawn, spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import pg from 'pg';
import { afterAll, expect, test } from 'vitest';
import { root } from './run.mjs';

const folder = mkdtempSync(join(tmpdir(), 'lettura-demo-'));
chmodSync(folder, 0o755);
const env = { ...process.env, LETTURA_DEMO_FOLDER: folder };
let running: ReturnType<typeof spawn> | undefined;

async function demo(): Promise<{ url: string; pid: number }> {
  const child = spawn(process.execPath, [join(root, 'scripts', 'demo.mjs')], { cwd: root, env });
  running = child;
  let said = '';
  child.stdout.on('data', (text) => (said += text));
  child.stderr.on('data', (text) => (said += text));
  for (let i = 0; i < 600; i++) {
    const [url] = /http:\/\/127\.0\.0\.1:\d+/u.exec(said) ?? [];
    if (url && said.includes('Ctrl-C')) return { url, pid: child.pid! };
    if (child.exitCode !== null) throw new Error(said);
    await wait(100);
  }
  throw new Error(`The demo did not come up:\n${said}`);
}
const answers = async (url: string): Promise<boolean> => {
  try {
    return (await fetch(`${url}/api/health`, { signal: AbortSignal.timeout(3000) })).ok;
  } catch {
    return false;
  }
};
const until = async (wanted: () => boolean | Promise<boolean>) => {
  for (let i = 0; i < 300; i++) {
    if (await wanted()) return true;
    await wait(100);
  }
  return false;
};
/** Processes whose command names this folder: its database, and the server that was given its address. */
const leftOver = (): string[] =>
  spawnSync('ps', ['-eo', 'pid,args'], { encoding: 'utf8' })
    .stdout.split('\n')
    .filter((line) => line.includes(folder) && !line.includes('ps -eo'));
const postmasterPid = (): number =>
  Number(readFileSync(join(folder, 'postgres', 'data', 'postmaster.pid'), 'utf8').split('\n')[0]);

afterAll(async () => {
  if (running?.exitCode === null) running.kill('SIGTERM');
  await until(() => leftOver().length === 0);
  rmSync(folder, { recursive: true, force: true });
});

test('a demo brings back what was killed under it, leaves nothing when it is killed itself, and keeps its port', async () => {
  const { url, pid } = await demo();
  expect(await answers(url)).toBe(true);
  const admin = new pg.Client({
    host: '127.0.0.1',
    port: Number(readFileSync(join(folder, 'postgres', 'data', 'postmaster.pid'), 'utf8').split('\n')[3]),
    user: 'lettura',
    database: 'postgres',
    password: readFileSync(join(folder, 'postgres', 'password'), 'utf8').trim(),
  });
  await admin.connect();
  const { rows: roles } = await admin.query(`select rolsuper from pg_roles where rolname = 'lettura_app'`);
  expect(roles).toEqual([{ rolsuper: false }]);
  expect((await admin.query('show data_checksums')).rows).toEqual([{ data_checksums: 'on' }]);
  await admin.end();
  const server = spawnSync('pgrep', ['-P', String(pid), '-f', 'server/main.ts'], { encoding: 'utf8' });
  process.kill(Number(server.stdout.trim().split('\n')[0]), 'SIGKILL');
  await until(async () => !(await answers(url)));
  expect(await until(() => answers(url))).toBe(true);

  process.kill(postmasterPid(), 'SIGKILL');
  await until(async () => !(await answers(url)));
  expect(await until(() => answers(url))).toBe(true);

  process.kill(pid, 'SIGKILL');
  expect(await until(() => leftOver().length === 0)).toBe(true);
  expect(await until(async () => !(await answers(url)))).toBe(true);

  const again = await demo();
  expect(again.url).toBe(url);
  expect(await answers(url)).toBe(true);
  const ended = new Promise((resolve) => running!.once('exit', resolve));
  process.kill(again.pid, 'SIGTERM');
  expect(await ended).toBe(0);
  expect(leftOver()).toEqual([]);
}, 120_000);
