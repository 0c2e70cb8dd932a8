import { randomUUID } from 'node:crypto';
import { chromium, type Page } from 'playwright-core';
import pg from 'pg';
import { v7 } from 'uuid';
import { findChromium } from '../install.mjs';
import { startServer } from '../server.mjs';

export interface TypingRatio {
  /** Slowest of the letters, with many sensors in the library. */
  milliseconds: number;
  /** Against the same word with the shipped ones alone. */
  ratio: number;
}

const MANY = 2000;
const WORD = 'shelf 1987';

/** What a search costs in a library of 2,000 sensors: from each letter to the next frame, in the real browser. */
export async function typingRatio(databaseUrl: string): Promise<TypingRatio> {
  const name = `typing_${randomUUID().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: databaseUrl });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  const server = await startServer({
    databaseUrl: databaseUrl.replace(/\/[^/]*$/u, `/${name}`),
    data: 'none',
    logLevel: 'error',
  });
  const executablePath = findChromium();
  const browser = await chromium.launch({
    ...(executablePath ? { executablePath } : {}),
    args: ['--no-sandbox'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const few = await slowestLetter(page, server.url);
    const answer = await fetch(`${server.url}/api/sensors`);
    const [first] = (await answer.json()) as Record<string, unknown>[];
    const { lineageId: _lineageId, version: _version, ...rest } = first ?? {};
    const sensors = Array.from({ length: MANY }, (_, i) => ({ ...rest, id: v7(), name: `Store shelf ${i}` }));
    await fetch(`${server.url}/api/sensors/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ format: 'lettura-sensors', version: 1, sensors }),
    });
    const many = await slowestLetter(page, server.url);
    return { milliseconds: many, ratio: many / few };
  } finally {
    await browser.close();
    await server.stop();
  }
}

async function slowestLetter(page: Page, url: string): Promise<number> {
  await page.goto(`${url}/sensors`);
  const field = page.getByLabel('Search sensors');
  await field.waitFor();
  await page.waitForLoadState('networkidle');
  let slowest = 0;
  for (const letter of WORD) {
    const start = performance.now();
    await field.press(letter);
    await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0))));
    slowest = Math.max(slowest, performance.now() - start);
  }
  return slowest;
}
