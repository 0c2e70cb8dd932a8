import { randomBytes } from 'node:crypto';
import { chromium, type Browser, type Page } from 'playwright-core';
import pg from 'pg';
import { afterAll } from 'vitest';
import { findChromium } from '../scripts/install.mjs';
import { startServer } from '../scripts/server.mjs';

export const CHROMIUM_ARGUMENTS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** The built application, as `npm start` serves it, on a database of its own. */
export async function application({
  data = 'none',
  feeds = 'none',
  liveData = feeds,
}: {
  data?: 'demo' | 'none';
  feeds?: 'none' | 'simulated';
  /** Another address than that of the meter. */
  liveData?: string;
} = {}) {
  const name = `e2e_${randomBytes(6).toString('hex')}`;
  await administered(async (admin) => {
    if (data === 'demo') await ensureDemo(admin);
    await admin.query(`create database ${name} template ${data === 'demo' ? DEMO : 'template0'}`);
  });
  const databaseUrl = urlOf(name);
  const server = await startServer({ databaseUrl, data, feeds, liveData, logLevel: 'error' });
  return { url: server.url, port: server.port, databaseUrl, stop: server.stop };
}

const DEMO = 'e2e_demo';
const LOCK = 7;

function urlOf(database: string): string {
  const clusterUrl = process.env.TEST_CLUSTER_URL;
  if (!clusterUrl) throw new Error('Run the tests with npm test: it starts the database they need.');
  return clusterUrl.replace(/\/[^/]*$/u, `/${database}`);
}

async function administered(work: (admin: pg.Client) => Promise<void>): Promise<void> {
  const admin = new pg.Client({ connectionString: process.env.TEST_CLUSTER_URL });
  await admin.connect();
  try {
    // One file after the other: whoever comes second finds the demo filled, and nobody copies it meanwhile.
    await admin.query('select pg_advisory_lock($1)', [LOCK]);
    await work(admin);
  } finally {
    await admin.end();
  }
}

/** Demo data takes seconds to fill in, since its verdicts are weighed: it is done once, and copied. */
async function ensureDemo(admin: pg.Client): Promise<void> {
  const { rowCount } = await admin.query('select 1 from pg_database where datname = $1', [DEMO]);
  if (rowCount) return;
  const filling = `${DEMO}_filling`;
  await admin.query(`create database ${filling}`);
  const filler = await startServer({
    databaseUrl: urlOf(filling),
    data: 'demo',
    feeds: 'none',
    logLevel: 'error',
  });
  await filler.stop();
  await admin.query(`alter database ${filling} rename to ${DEMO}`);
}

export const launchBrowser = (): Promise<Browser> => {
  const executablePath = findChromium();
  if (!executablePath) throw new Error('Chromium is missing: npm test installs it.');
  return chromium.launch({ executablePath, args: CHROMIUM_ARGUMENTS });
};

/** How long a page is waited for, ms: what a busy machine with slow cores needs, since being slow is no fault here. */
export const PATIENCE_MS = 90_000;

/** A page at the size of a workshop laptop; anything the browser complains of fails the test that looks. */
export async function openPage(browser: Browser): Promise<{ page: Page; complaints: string[] }> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  page.setDefaultTimeout(PATIENCE_MS);
  // The same simulated machines in every run: their seed is drawn as 32-bit numbers, and nothing else is.
  await page.addInitScript(() => {
    const draw = crypto.getRandomValues.bind(crypto);
    crypto.getRandomValues = (numbers) => (numbers instanceof Uint32Array ? numbers.fill(7) : draw(numbers));
  });
  const complaints: string[] = [];
  page.on('pageerror', (error) => complaints.push(error.message));
  page.on('console', (message) => {
    // A refused or unreachable request is part of some tests; the browser logs each as an error of its own.
    if (message.type() === 'error' && !message.text().startsWith('Failed to load resource')) {
      complaints.push(message.text());
    }
  });
  return { page, complaints };
}

/** The application with a page on it, for a whole file of tests; gone when the file is done. */
export async function opened(options: Parameters<typeof application>[0] = {}) {
  const [app, browser] = await Promise.all([application(options), launchBrowser()]);
  afterAll(async () => {
    await browser.close();
    await app.stop();
  });
  return { app, browser, ...(await openPage(browser)) };
}
