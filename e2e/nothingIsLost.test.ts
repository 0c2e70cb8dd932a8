import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { cluster } from '../scripts/postgres.mjs';
import { startServer } from '../scripts/server.mjs';
import { launchBrowser, openPage } from './application.ts';
import { choose, enter, openJob, pad, quickEntry, section } from './steps.ts';

// A database of its own: this file takes it down in the middle of a job.
const folder = mkdtempSync(join(tmpdir(), 'lettura-restart-'));
chmodSync(folder, 0o755);
const database = cluster(join(folder, 'postgres'));
let server: Awaited<ReturnType<typeof startServer>>;
let browser: Browser;
let page: Page;
let port: number;
const start = async () => {
  server = await startServer({ databaseUrl: database.url(), port, logLevel: 'silent' });
  port = server.port;
};

beforeAll(async () => {
  await database.create();
  await database.start();
  port = 0;
  await start();
  browser = await launchBrowser();
  ({ page } = await openPage(browser));
  await openJob(page, server.url, {
    machine: 'Reedcutter RC2 boat',
    complaint: 'black smoke',
    sensor: 'Tern 2-bar',
    ambient: { source: 'Barometer here', pressure: '101.2' },
  });
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
});

test('a reload keeps what was recorded, the state of the machine, and the half-typed line', async () => {
  await enter(page, 'ref plug 4.99');
  await choose(page, 'Idle');
  await quickEntry(page).fill('sig plug 1.1');
  await page.reload();
  await page.getByRole('button', { name: 'Idle', pressed: true }).waitFor();
  await expect.poll(() => quickEntry(page).inputValue()).toBe('sig plug 1.1');
  await choose(page, 'Key on, engine off');
  await pad(page, 'Reference at the sensor plug: 4.99 V').waitFor();
});

test('a second browser sees the job as it stands, and its reading appears in the first', async () => {
  const other = await browser.newContext();
  const second = await other.newPage();
  await second.goto(page.url());
  await pad(second, 'Reference at the sensor plug: 4.99 V').waitFor();
  await enter(second, 'ret plug 9mV');
  await pad(page, 'Return at the sensor plug: 9 mV').waitFor();
  await other.close();
});

test('a reading entered while the server is away waits, survives a restart, and is sent by itself', async () => {
  await server.stop();
  await enter(page, 'sig plug 2.33');
  await page.getByText('One reading waits in this browser').waitFor();
  await pad(page, 'Signal at the sensor plug: 2.33 V').waitFor();
  await start();
  await page.getByText('One reading waits in this browser').waitFor({ state: 'hidden' });
  await page.reload();
  await pad(page, 'Signal at the sensor plug: 2.33 V').waitFor();
});

test('the same holds while only the database is away, and after both are killed outright', async () => {
  await database.stop({ mode: 'immediate' });
  await enter(page, 'ref unit 5.00');
  await page.getByText('One reading waits in this browser').waitFor();
  await server.stop('SIGKILL');
  await database.start({ onPort: database.port });
  await start();
  await page.getByText('One reading waits in this browser').waitFor({ state: 'hidden' });
  const other = await browser.newContext();
  const second = await other.newPage();
  await second.goto(page.url());
  for (const reading of [
    'Reference at the sensor plug: 4.99 V',
    'Return at the sensor plug: 9 mV',
    'Signal at the sensor plug: 2.33 V',
    'Reference at the control unit: 5.00 V',
  ]) {
    await pad(second, reading).waitFor();
  }
  await other.close();
});

test('a sheet that nobody touches says within seconds that the server is away', async () => {
  await server.stop();
  const away = page.getByText('What stands here is as it was last');
  await away.waitFor({ timeout: 9000 });
  await start();
  await away.waitFor({ state: 'hidden' });
});

test('a screen that could not be fetched says so, and comes by itself with the server', async () => {
  await server.stop();
  await page.getByRole('link', { name: 'Reference', exact: true }).click();
  await page.getByText('This screen could not be loaded.').waitFor();
  await start();
  await page.getByRole('tablist', { name: 'Calculators' }).waitFor();
  await page.goBack();
  await pad(page, 'Reference at the sensor plug: 4.99 V').waitFor();
});

test('a browser without room says loudly what it could not write down, and sends it all the same', async () => {
  await server.stop();
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function () {
      throw new DOMException('full', 'QuotaExceededError');
    };
    Object.assign(window, { roomAgain: () => (IDBObjectStore.prototype.put = put) });
  });
  await enter(page, 'sig plug 2.34');
  const alarm = page.getByRole('alert').filter({ hasText: 'Not written down' });
  await alarm.getByText('“sig plug 2.34”').waitFor();
  await page.evaluate(() => (window as unknown as { roomAgain: () => void }).roomAgain());
  await start();
  await alarm.waitFor({ state: 'hidden' });
  await pad(page, 'Signal at the sensor plug: 2.34 V').waitFor();
});

test('undo takes a reading back and puts it back, and the record keeps every line', async () => {
  await enter(page, 'sig unit 2.99');
  await pad(page, 'Signal at the control unit: 2.99 V').waitFor();
  await page.keyboard.press('Alt+z');
  await pad(page, 'Signal at the control unit: expect').waitFor();
  await page.getByRole('button', { name: 'Put back' }).waitFor();
  await page.keyboard.press('Alt+z');
  await pad(page, 'Signal at the control unit: 2.99 V').waitFor();
  await page.keyboard.press('Alt+z');
  await page.getByText('There is nothing more to undo').waitFor();
  await pad(page, 'Signal at the control unit: 2.99 V').waitFor();
  await section(page, 'Record');
  const lines = page
    .getByRole('list', { name: 'All readings' })
    .getByRole('listitem')
    .filter({ hasText: '2.99 V' });
  await expect.poll(() => lines.count()).toBe(2);
  // Each line opens to what was typed and what can be done with it.
  const [standing, replaced] = [lines.first(), lines.last()];
  for (const line of [standing, replaced]) {
    await line.getByRole('button', { expanded: false }).click();
    await line.getByText('entered as “sig unit 2.99”').waitFor();
  }
  await expect.poll(() => standing.getByRole('button', { name: 'Take back' }).count()).toBe(1);
  await replaced.getByText('replaced or taken back').waitFor();
  await expect.poll(() => replaced.getByRole('button', { name: 'Take back' }).count()).toBe(0);
});

test('a correction replaces a reading without typing it all again', async () => {
  await pad(page, 'Signal at the control unit').click();
  await page.getByRole('button', { name: 'Correct 2.99 V' }).click();
  await expect.poll(() => quickEntry(page).inputValue()).toBe('sig unit 2.99');
  await enter(page, 'sig unit 2.29');
  await pad(page, 'Signal at the control unit: 2.29 V').waitFor();
  const taken = page.getByRole('list', { name: 'Readings at this point' }).getByRole('listitem');
  await expect.poll(() => taken.count()).toBe(1);
  // Undoing a correction brings back what it replaced.
  await page.keyboard.press('Alt+z');
  await pad(page, 'Signal at the control unit: 2.99 V').waitFor();
  await expect.poll(() => taken.count()).toBe(1);
});
