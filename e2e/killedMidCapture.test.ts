import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from 'playwright-core';
import { afterAll, beforeAll, expect, test, vi } from 'vitest';
import { findChromium } from '../scripts/install.mjs';
import { freePort } from '../scripts/postgres.mjs';
import { startServer } from '../scripts/server.mjs';
import { application, CHROMIUM_ARGUMENTS, PATIENCE_MS } from './application.ts';
import { openJob, section } from './steps.ts';

/** A browser of its own process, with a profile on the disk: it can be killed as a machine without power is. */
async function browserOn(profile: string): Promise<{ page: Page; process: ChildProcess }> {
  const port = await freePort();
  const process = spawn(
    findChromium()!,
    [
      ...CHROMIUM_ARGUMENTS,
      '--headless=new',
      `--user-data-dir=${profile}`,
      `--remote-debugging-port=${port}`,
      'about:blank',
    ],
    { stdio: 'ignore' },
  );
  await expect
    .poll(
      () =>
        fetch(`http://127.0.0.1:${port}/json/version`).then(
          (answer) => answer.ok,
          () => false,
        ),
      {
        timeout: 60_000,
      },
    )
    .toBe(true);
  const [context] = (await chromium.connectOverCDP(`http://127.0.0.1:${port}`)).contexts();
  const page = await context!.newPage();
  page.setDefaultTimeout(PATIENCE_MS);
  return { page, process };
}

let app: Awaited<ReturnType<typeof application>>;
let server: Pick<typeof app, 'stop'>;
let profile: string;
let running: ChildProcess | undefined;
beforeAll(async () => {
  app = await application({ feeds: 'simulated' });
  server = app;
  profile = mkdtempSync(join(tmpdir(), 'lettura-profile-'));
});
afterAll(async () => {
  running?.kill('SIGKILL');
  await server.stop();
  // What it started dies after it, and may write there until then.
  await vi.waitFor(() => rmSync(profile, { recursive: true, force: true }), {
    timeout: 100_000,
    interval: 500,
  });
});

const startAgain = () =>
  startServer({
    databaseUrl: app.databaseUrl,
    port: app.port,
    feeds: 'simulated',
    logLevel: 'error',
  });
const countOf = (text: string | null): number =>
  Number(/([\d,]+) samples/u.exec(text ?? '')?.[1]?.replaceAll(',', ''));
const counted = (page: Page) =>
  page
    .getByText(/^Recording: [\d,]+ samples/u)
    .textContent()
    .then(countOf);

test('server and browser are killed in mid-capture: at most the last second is missing, and it says so', async () => {
  let { page, process } = await browserOn(profile);
  running = process;
  await openJob(page, app.url, {
    machine: 'Larch 1.6 crew van 7',
    complaint: 'limp mode',
    sensor: 'Larch AP-2 pedal, half-ratio pair',
  });
  await section(page, 'Sweeps');
  await page.getByRole('link', { name: 'Record live' }).click();
  const address = page.url();
  await page.getByRole('combobox', { name: 'Values from' }).click();
  await page.getByRole('option', { name: /logger \(simulated\)$/u }).click();
  await page.getByRole('button', { name: 'Record (R)' }).click();
  await expect.poll(() => counted(page), { timeout: 60_000 }).toBeGreaterThan(300);

  // The server alone first: the capture goes on, with a gap.
  await server.stop('SIGKILL');
  await page.getByText(/Nothing arrives: the gap will show\.$/u).waitFor();
  const before = await counted(page);
  server = await startAgain();
  await expect.poll(() => counted(page), { timeout: 60_000 }).toBeGreaterThan(before + 50);

  // Then both at once.
  const last = await counted(page);
  process.kill('SIGKILL');
  await server.stop('SIGKILL');
  server = await startAgain();
  ({ page, process } = await browserOn(profile));
  running = process;
  await page.goto(address);
  await page.getByText(/The page died meanwhile: up to its last second is missing\.$/u).waitFor();
  await page.getByRole('button', { name: 'Keep it' }).click();
  const found = page.getByRole('region', { name: 'What was found' });
  await found.getByText('The page died while this was recorded: up to its last second is missing.').waitFor();
  await found
    .getByText(/^· Nothing was recorded for \d+\.\d s, \d+\.\d+ s into the recording\.$/u)
    .first()
    .waitFor();
  const kept = countOf(await page.getByText(/^.* samples in \d+\.\d s/u).textContent());
  // What was counted on the screen was on the disk.
  expect(kept).toBeGreaterThanOrEqual(last);
}, 300_000);
