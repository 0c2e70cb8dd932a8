import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { application, launchBrowser, openPage } from './application.ts';
import { noAccessibilityFault, openJob, pad, section } from './steps.ts';

let app: Awaited<ReturnType<typeof application>>;
let browser: Browser;
let page: Page;
let complaints: string[];
beforeAll(async () => {
  [app, browser] = await Promise.all([application({ feeds: 'simulated' }), launchBrowser()]);
  ({ page, complaints } = await openPage(browser));
});
afterAll(async () => {
  await browser.close();
  await app.stop();
});

const meter = () => page.getByRole('region', { name: 'Live meter' });

// The stand-in moves a half-ratio pedal: 1.00 V at rest, 4.40 V at full travel, a rest of more than two seconds at each.
test('the meter’s value is there as it arrives, and is held by itself once it stands', async () => {
  await openJob(page, app.url, {
    machine: 'Larch 1.6 crew van 7',
    complaint: 'limp mode',
    sensor: 'Larch AP-2 pedal, half-ratio pair',
  });
  await meter().getByText('Saltmere Workshop Simulated logger').waitFor();
  await meter()
    .getByRole('img', { name: /^Live: [1-4]\.\d{3} V$/u })
    .waitFor();
  await meter().getByRole('switch', { name: 'Hold when steady' }).check();
  await page
    .getByRole('status')
    .filter({ hasText: /^Signal at the sensor plug: (1\.00|4\.40) V/u })
    .waitFor();
  await expect
    .poll(() => page.locator('[data-point="signal:plug"]').textContent())
    .toMatch(/1\.00 V|4\.40 V/u);
  await meter().getByRole('switch', { name: 'Hold when steady' }).uncheck();
});

test('the second lead shows the other track, lowest and highest begin anew, and a tap takes the value', async () => {
  await pad(page, 'Second signal at the sensor plug').click();
  await meter().getByRole('combobox', { name: 'Lead' }).click();
  await page.getByRole('option', { name: 'Channel 2' }).click();
  await meter()
    .getByRole('img', { name: /^Live: [0-2]\.\d{3} V$/u })
    .waitFor();
  await meter().getByRole('button', { name: 'Begin anew' }).click();
  await meter()
    .getByText(/Lowest .*, highest /u)
    .waitFor();
  await meter().getByRole('button', { name: 'Take this reading' }).click();
  await page
    .getByRole('status')
    .filter({ hasText: /^Second signal at the sensor plug: / })
    .waitFor();
  await noAccessibilityFault(page);
});

test('live data of the unit stands beside its own point, and is taken in its own unit', async () => {
  await pad(page, 'Live data').click();
  await meter().getByText('Live data: Pedal position D').waitFor();
  await meter()
    .getByRole('img', { name: /^Live: \d+\.\d %$/u })
    .waitFor();
  await meter().getByRole('button', { name: 'Take this reading' }).click();
  await page
    .getByRole('status')
    .filter({ hasText: /^Live data: \d+\.\d %/u })
    .waitFor();
  await pad(page, 'Second signal at the sensor plug').click();
});

test('a recording that dies with its page is offered again, and kept', async () => {
  await section(page, 'Sweeps');
  await page.getByText('The meter answers.').waitFor();
  await page.getByRole('button', { name: 'Record from the meter' }).click();
  await page.getByText(/^Recording: [4-9]\d samples/u).waitFor();
  await page.reload();
  await page.getByText(/^A recording of \d+ samples is not kept yet/u).waitFor();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.getByRole('region', { name: 'What was found' }).waitFor();
  await page.getByRole('img', { name: /^Channel 2 over time, in V/u }).waitFor();
  const kept = await page.getByText(/^.* samples in \d+\.\d s/u).textContent();
  // At least what had been there a second before the page died.
  expect(Number(/(\d+) samples/u.exec(kept ?? '')?.[1])).toBeGreaterThan(20);
});

test('a recording that the server does not take is not lost: it is offered until it is kept', async () => {
  await page.getByRole('link', { name: 'To the job' }).click();
  await section(page, 'Sweeps');
  await page.route('**/recordings', (route) => route.abort());
  await page.getByRole('button', { name: 'Record from the meter' }).click();
  await page.getByText(/^Recording: [2-9]\d samples/u).waitFor();
  await page.getByRole('button', { name: 'Stop and keep' }).click();
  await page.getByRole('alert').waitFor();
  await page.getByText(/^A recording of \d+ samples is not kept yet/u).waitFor();
  await page.unroute('**/recordings');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.getByRole('region', { name: 'What was found' }).waitFor();
});

test('a recording is stopped and kept, with its tracks known', async () => {
  await page.getByRole('link', { name: 'To the job' }).click();
  await section(page, 'Sweeps');
  await page.getByRole('button', { name: 'Record from the meter' }).click();
  // Longer than a rest of the pedal, so that it has moved.
  await page.getByText(/^Recording: (?:[89]\d|\d{3}) samples/u).waitFor();
  await page.getByRole('button', { name: 'Stop and keep' }).click();
  await page.getByRole('region', { name: 'What was found' }).getByText('20 samples a second').waitFor();
});

test('a feed that dies is greyed within moments, never shown as fresh', async () => {
  await page.getByRole('link', { name: 'To the job' }).click();
  await section(page, 'Reading');
  await meter()
    .getByRole('img', { name: /^Live: \d\.\d{3} V$/u })
    .waitFor();
  expect(complaints).toEqual([]);
  await app.stop();
  await meter().getByRole('img', { name: 'Live: no fresh value' }).waitFor({ timeout: 2500 });
  expect(await meter().getByRole('button', { name: 'Take this reading' }).isDisabled()).toBe(true);
});
