import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createRequire } from 'node:module';
import type * as Playwright from 'playwright-core';
import type { Browser, Page } from 'playwright-core';
import { findChromium } from '../install.mjs';
import { startServer } from '../server.mjs';

// The browser is a dependency of the browser tests, and of nothing else.
const { chromium } = createRequire(new URL('../../e2e/package.json', import.meta.url))(
  'playwright-core',
) as typeof Playwright;

const ARGUMENTS = ['--no-sandbox', '--disable-gpu', '--enable-precise-memory-info'];

/** The application with the demo's jobs in a browser of its own; undefined where no browser is installed. */
export async function inBrowser<T>(
  databaseUrl: string,
  work: (page: Page, browser: Browser, url: string) => Promise<T>,
): Promise<T | undefined> {
  const executablePath = findChromium();
  if (!executablePath) return undefined;
  const server = await startServer({ databaseUrl, data: 'demo', logLevel: 'error' });
  const browser = await chromium.launch({ executablePath, args: ARGUMENTS });
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    page.setDefaultTimeout(300_000);
    return await work(page, browser, server.url);
  } finally {
    await browser.close();
    await server.stop();
  }
}

/** Opens the job of a machine from the list of the demo. */
export async function openDemoJob(page: Page, url: string, name: RegExp): Promise<string> {
  await page.goto(url);
  await page.getByRole('link', { name }).first().click();
  await page.getByRole('region', { name: 'Next reading' }).waitFor();
  return page.url().split('?')[0]!;
}

/** On the recorder's page: the demo has several sources of values. */
export async function chooseLogger(page: Page): Promise<void> {
  await page.getByRole('combobox', { name: 'Values from' }).click();
  await page.getByRole('option', { name: 'Saltmere Workshop Simulated logger (simulated)' }).click();
}

/** Of the process that draws pages, in bytes. */
function rendererBytes(browserPids: readonly number[]): number {
  return Math.max(
    ...browserPids.map((pid) => {
      try {
        const [, kilobytes = '0'] =
          /VmHWM:\s+(\d+) kB/u.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? [];
        return Number(kilobytes) * 1024;
      } catch {
        return 0;
      }
    }),
  );
}

async function renderers(browser: Browser): Promise<number[]> {
  const session = await browser.newBrowserCDPSession();
  const { processInfo } = await session.send('SystemInfo.getProcessInfo');
  return processInfo.filter(({ type }) => type === 'renderer').map(({ id }) => id);
}

export interface ImportFigures {
  rows: number;
  seconds: number;
  /** The longest that the page was held up, in ms; 0 for less than 50. */
  longestTaskMs: number;
  /** More than the page took before, over the numbers themselves. */
  memoryRatio: number;
  fileBytes: number;
}

/** A file of `rows` × 4 columns through the import page until its plots stand, and how long that held up the page. */
export const importInBrowser = (databaseUrl: string, rows: number): Promise<ImportFigures | undefined> =>
  inBrowser(databaseUrl, async (page, browser, url) => {
    const folder = mkdtempSync(join(tmpdir(), 'lettura-browser-'));
    const path = join(folder, 'long.csv');
    writeRows(path, rows);
    const job = await openDemoJob(page, url, /crew van 5/u);
    await page.goto(`${job}/sweeps/import`);
    await page.locator('input[type=file]').setInputFiles(path);
    const keep = page.getByRole('button', { name: 'Read and keep on the job' });
    await keep.waitFor();
    const pids = await renderers(browser);
    const before = rendererBytes(pids);
    // What the choice of the file still has to draw is not the import.
    await page.waitForTimeout(500);
    await page.evaluate(() => {
      const seen: number[] = [];
      Object.assign(window, { seen });
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) seen.push(duration);
      }).observe({ type: 'longtask' });
    });
    const start = performance.now();
    await keep.click();
    await page
      .getByRole('img', { name: /over time/u })
      .first()
      .waitFor();
    const seconds = (performance.now() - start) / 1000;
    const seen = await page.evaluate(() => (window as unknown as { seen: number[] }).seen);
    const after = rendererBytes(pids);
    const fileBytes = statSync(path).size;
    rmSync(folder, { recursive: true });
    return {
      rows,
      seconds,
      longestTaskMs: Math.max(0, ...seen),
      memoryRatio: (after - before) / (8 * 5 * rows),
      fileBytes,
    };
  });

function writeRows(path: string, rows: number): void {
  writeFileSync(path, 'Time [s];Track 1 [V];Track 2 [V];Reference [V];Live [%]\n');
  const PIECE = 100_000;
  for (let from = 0; from < rows; from += PIECE) {
    const lines: string[] = [];
    for (let i = from; i < Math.min(rows, from + PIECE); i++) {
      const volts =
        i === Math.floor(rows / 3) ? 0.01 : 2.7 + 1.5 * Math.sin(i / 30_000) + 0.004 * Math.sin(i * 1.7);
      lines.push(
        `${(i / 1000).toFixed(3)};${volts.toFixed(4)};${(volts / 2).toFixed(4)};${(5 + 0.001 * Math.sin(i)).toFixed(4)};${Math.round(20 * volts)}`,
      );
    }
    writeFileSync(path, `${lines.join('\n')}\n`, { flag: 'a' });
  }
}

export interface LiveFigures {
  samples: number;
  lost: number;
  p95Ms: number;
  /** Of the page after its garbage was collected: soon after the beginning, and at the end. */
  heapBytes: [first: number, last: number];
  framesASecond: number;
}

/** Four channels at 200 samples a second on the recorder's page: from the instrument's answer to the frame after it arrived. */
export const liveOnScreen = (databaseUrl: string, minutes: number): Promise<LiveFigures | undefined> =>
  inBrowser(databaseUrl, async (page, _browser, url) => {
    const job = await openDemoJob(page, url, /crew van 5/u);
    await page.goto(`${job}/sweeps/record`);
    await chooseLogger(page);
    await page.getByRole('img', { name: /^Channel 4, the last/u }).waitFor();
    const session = await page.context().newCDPSession(page);
    const heap = async () => {
      await session.send('HeapProfiler.collectGarbage');
      return (await session.send('Runtime.getHeapUsage')).usedSize;
    };
    // A second listener beside the page's own: what it sees stands on the screen with the next frame.
    await page.evaluate(() => {
      const counts = {
        samples: 0,
        lost: 0,
        frames: 0,
        last: 0,
        late: new Uint32Array(5000),
        frame() {
          counts.frames++;
          requestAnimationFrame(() => counts.frame());
        },
      };
      Object.assign(window, { counts });
      const stream = new EventSource('/api/feeds/meter/stream');
      stream.addEventListener('message', ({ data }: MessageEvent<string>) => {
        const { samples, missed } = JSON.parse(data) as {
          samples: { number: number; atMs: number }[];
          missed: number;
        };
        counts.lost += missed;
        requestAnimationFrame(() => {
          const now = Date.now();
          for (const { number, atMs } of samples) {
            if (counts.last > 0) counts.lost += number - counts.last - 1;
            counts.last = number;
            counts.samples++;
            counts.late[Math.min(4999, Math.max(0, Math.round(now - atMs)))]!++;
          }
        });
      });
      counts.frame();
    });
    const settle = Math.min(60, minutes * 15);
    await page.waitForTimeout(settle * 1000);
    const first = await heap();
    await page.waitForTimeout((minutes * 60 - settle) * 1000);
    const last = await heap();
    const counts = await page.evaluate(() => {
      const { samples, lost, frames, late } = (
        window as unknown as { counts: { samples: number; lost: number; frames: number; late: Uint32Array } }
      ).counts;
      return { samples, lost, frames, late: [...late] };
    });
    let seen = 0;
    const p95Ms = counts.late.findIndex((count) => (seen += count) >= 0.95 * counts.samples);
    return {
      samples: counts.samples,
      lost: counts.lost,
      p95Ms,
      heapBytes: [first, last],
      framesASecond: counts.frames / (minutes * 60),
    };
  });
