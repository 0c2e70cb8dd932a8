import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { application, launchBrowser, openPage } from './application.ts';
import { noAccessibilityFault, openJob, practise, section } from './steps.ts';

let app: Awaited<ReturnType<typeof application>>;
let browser: Browser;
let page: Page;
let complaints: string[];
beforeAll(async () => {
  [app, browser] = await Promise.all([application(), launchBrowser()]);
  ({ page, complaints } = await openPage(browser));
});
afterAll(async () => {
  await browser.close();
  await app.stop();
});

const rows = (test_: string) => page.getByRole('region', { name: test_ }).getByRole('row');
const row = (test_: string, reads: string) => rows(test_).filter({ hasText: reads });

test('before anything is unplugged each answer says what it would mean', async () => {
  await openJob(page, app.url, {
    machine: 'Tolland 95 tractor',
    complaint: 'no boost',
    sensor: 'Tern 2-bar manifold pressure',
    ambient: { source: 'Barometer here', pressure: '101.0' },
  });
  await section(page, 'Isolate');
  // A pulled-up input: 5 V proves wire and input, and stands first.
  expect(await rows('Unplug the sensor').nth(1).textContent()).toMatch(/^about (4\.9|5\.0)|4\.9 to 5\.0/u);
  await row('Unplug the sensor', '✓ As it should').waitFor();
  await row('Unplug the sensor', 'Wire open (signal wire)').waitFor();
});

test('a bridge to return that leaves the signal at 5 V means an open wire', async () => {
  await page.getByRole('button', { name: 'Bridge signal to return' }).click();
  const five = row('Bridge signal to return', 'ire open (signal wire; return wire)');
  expect(await five.textContent()).toMatch(/5\.0 V/u);
  await page.getByText('reference bridged to return shorts the supply').waitFor();
});

test('a substituted voltage says what live data must show, in the unit of the reader', async () => {
  await page.getByRole('button', { name: 'Substitute 1.6 V' }).click();
  // 0.5 to 4.5 V over 20 to 200 kPa: 1.6 V is 69.5 kPa, a little less over the unit’s own ground.
  await row('Substitute 1.6 V', 'about 69').waitFor();
  await page.getByRole('combobox', { name: 'Absolute in' }).click();
  await page.getByRole('option', { name: 'psi', exact: true }).click();
  await row('Substitute 1.6 V', 'about 10.0').waitFor();
  await page.getByRole('combobox', { name: 'Absolute in' }).click();
  await page.getByRole('option', { name: 'kPa', exact: true }).click();
});

test('the tests can be chosen with the keyboard', async () => {
  await page.getByRole('button', { name: 'Jump past the signal wire' }).focus();
  await page.keyboard.press('Enter');
  await row('Jump past the signal wire', '✓ As it should').waitFor();
});

test('what the simulated machine does when unplugged is what the table says of its fault', async () => {
  await practise(page, app.url, /pool car, air conditioning/u, 'A'); // its signal wire is open
  await page.getByRole('button', { name: 'Plug off' }).click();
  // Nothing drives the wire any more: some millivolts of noise, with either sign.
  await page.getByRole('img', { name: /^Meter, volts DC shows -?\d\d?\.\d mV$/u }).waitFor();
  await section(page, 'Isolate');
  await row('Unplug the sensor', 'Wire open (signal wire)').getByText('about 0.0 V').waitFor();
});

test('the screen has no accessibility fault, and the browser had nothing to complain of', async () => {
  await noAccessibilityFault(page);
  expect(complaints).toEqual([]);
});
