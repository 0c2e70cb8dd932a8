import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from 'playwright-core';
import { expect } from 'vitest';

export interface NewJob {
  machine: string;
  complaint: string;
  sensor: string;
  codes?: string;
  /** Asked for where the sensor is a flow meter. */
  litres?: string;
  ambient?: {
    source: 'Barometer here' | 'Altitude' | 'Weather report';
    pressure?: string;
    altitude?: string;
  };
}

/**
 * To the list of jobs as it is when one comes to it, on the page's own way where another is open: what was worked out for a
 * sensor stays worked out.
 */
export async function toJobs(page: Page, url: string): Promise<void> {
  const own = page.getByRole('link', { name: 'Lettura', exact: true });
  const elsewhere = page.url().startsWith(`${url}/`) && new URL(page.url()).pathname !== '/';
  if (elsewhere && (await own.isVisible())) await own.click();
  else await page.goto(url);
}

/** To an address within the application, as with the browser's own back and forward: nothing is loaded anew. */
export async function go(page: Page, url: string, path: string): Promise<void> {
  if (!page.url().startsWith(url)) return void (await page.goto(url + path));
  await page.evaluate(async (to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
    // Until what stood there before has left.
    for (let frame = 0; frame < 2; frame++) await new Promise(requestAnimationFrame);
  }, path);
}

/** Opens a job through the form, as a technician does. */
export async function openJob(page: Page, url: string, job: NewJob): Promise<void> {
  await toJobs(page, url);
  await page.getByRole('link', { name: 'New job' }).click();
  await page.getByLabel('Vehicle or machine').fill(job.machine);
  await page.getByLabel('Complaint').fill(job.complaint);
  if (job.codes) await page.getByLabel('Codes, stored or pending').fill(job.codes);
  await page.getByLabel('Sensor under test').fill(job.sensor);
  await page.getByRole('option', { name: job.sensor }).first().click();
  if (job.litres) await page.getByLabel(/^Engine displacement/u).fill(job.litres);
  if (job.ambient) {
    const { source, pressure, altitude } = job.ambient;
    await page.getByRole('button', { name: source }).click();
    if (pressure)
      await page
        .getByLabel(/pressure/iu)
        .last()
        .fill(pressure);
    if (altitude) await page.getByLabel('Altitude, m or ft').fill(altitude);
  }
  await page.getByRole('button', { name: 'Open job' }).click();
  await page.getByRole('region', { name: 'Next reading' }).waitFor();
}

/** Opens a practice case on a simulated machine, by a part of its name and family. */
export async function practise(page: Page, url: string, machine: RegExp, letter: string): Promise<void> {
  await toJobs(page, url);
  await page.getByRole('link', { name: 'New job' }).click();
  await page.getByLabel('Practise on the simulated machine').check();
  await page.getByRole('combobox', { name: 'Machine' }).click();
  await page.getByRole('option', { name: machine }).click();
  await page.getByRole('combobox', { name: 'Practice case' }).click();
  await page.getByRole('option', { name: `Case ${letter}` }).click();
  await page.getByRole('button', { name: 'Start practice' }).click();
}

/** Types one line into the quick entry and saves it. */
export async function enter(page: Page, text: string): Promise<void> {
  const line = quickEntry(page);
  await line.fill(text);
  await line.press('Enter');
}

export const quickEntry = (page: Page) => page.locator('#quick-entry');
export const pad = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Circuit from control unit to sensor plug' }).getByRole('button', { name });
export const standing = (page: Page) => page.getByRole('region', { name: 'Standing' });
export const nextReading = (page: Page) => page.getByRole('region', { name: 'Next reading' });
export const choose = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click();

/** Where each section of the sheet is found: what one is doing, and which of its sections, where it has several. */
const SECTIONS = {
  Reading: ['Measure', 'Reading'],
  Bench: ['Measure', 'Bench'],
  Pump: ['Pump & sweep', 'Pump'],
  Sweeps: [/sweep$/iu, 'Sweeps'],
  Compare: ['Compare', 'Readings'],
  Ambient: ['Compare', 'Ambient'],
  Isolate: ['Isolate', 'Sensor or circuit'],
  Wires: ['Isolate', 'Which wire is which'],
  Record: ['Record', undefined],
  Verdict: ['Finish', 'Verdict'],
  Repair: ['Finish', 'Repair'],
  Job: ['Finish', 'Job'],
} as const;
export type SectionName = keyof typeof SECTIONS;
export const SECTION_NAMES = Object.keys(SECTIONS) as SectionName[];

export async function section(page: Page, name: SectionName): Promise<void> {
  const [activity, part] = SECTIONS[name];
  await page.getByRole('tab', { name: activity, exact: true }).click();
  if (part === undefined) return;
  // Only where an activity has several sections is there anything to choose.
  const tab = page.getByRole('tab', { name: part, exact: true });
  if ((await tab.count()) > 0) await tab.click();
}

/** Until the weighing of what is on record has come to its end. */
export async function weighed(page: Page): Promise<void> {
  // What was just entered is asked for in the next frame.
  await page.waitForTimeout(60);
  await page.locator('[aria-label="Standing"][aria-busy="false"]').waitFor();
}

/** Until the report has been weighed, and can be kept: before that its buttons change. */
export const reportWeighed = (page: Page): Promise<void> =>
  page.locator('button:enabled', { hasText: 'Save as one page' }).waitFor();

export interface Looked {
  /** Of axe; all of them where none is named. */
  rules?: string[] | undefined;
  /** The part of the page that is looked at; else all of it. */
  within?: string;
}

/** The page as it stands has no accessibility fault that axe knows of. */
export async function noAccessibilityFault(page: Page, { rules, within }: Looked = {}): Promise<void> {
  // A live stream never lets the network rest: what is still loading says so itself.
  await page.getByText(/^Loading /u).waitFor({ state: 'detached' });
  await page.evaluate(() => document.fonts.ready);
  // Half way from grey to black a button has the contrast of neither.
  await page.evaluate(() =>
    Promise.all(
      document
        .getAnimations()
        .filter((one) => one.effect?.getComputedTiming().iterations !== Infinity)
        .map(({ finished }) => finished.catch(() => undefined)),
    ),
  );
  // No page has a frame or is told where all that is well lies: it is quicker without.
  const axe = new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'], preload: false, iframes: false });
  if (rules) axe.withRules(rules);
  if (within) axe.include(within);
  const { violations } = await axe.analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html).join(' ')}`)).toEqual([]);
}

/** A plug by the book: 1 is the signal, 2 the return, 3 the reference, as a technician would read them. */
export const PLUG_BY_THE_BOOK: Record<string, Record<string, string>> = {
  'Plug off, key on': { 1: '0.006', 2: '8 mV', 3: '4,99' },
  'Plug off, key off': { 1: '470k', 2: '0.4', 3: '1.2k' },
  'Plug connected, key on, at rest': { 1: '1.4', 2: '12 mV', 3: '4.97' },
};

/** Types what a reading of before the repair shows now, in the list of the same tests. */
export async function readAgain(page: Page, where: string | RegExp, text: string): Promise<void> {
  const name = typeof where === 'string' ? `Read again: ${where}` : where;
  const field = page.getByRole('textbox', { name, exact: true });
  await field.fill(text);
  // The work just put on record may lay the list out anew between two keys: what was typed stands there still.
  const left = async () => {
    if ((await field.inputValue()) !== '') await field.press('Enter');
    return field.inputValue();
  };
  await expect.poll(left).toBe('');
}
