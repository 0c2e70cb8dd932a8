import { beforeAll, expect, test } from 'vitest';
import { opened } from './application.ts';
import { choose, enter, openJob, pad, section, standing } from './steps.ts';

const { app, browser, page } = await opened();
beforeAll(async () => {
  await openJob(page, app.url, {
    machine: 'Larch 1.6 crew van',
    complaint: 'live data and gauge do not match',
    sensor: '0.1 V per inHg',
    ambient: { source: 'Altitude', altitude: '250' },
  });
  await page.getByLabel('Absolute in').selectOption('inHg');
  await choose(page, 'Idle');
});

// At 250 m the standard atmosphere has 98.357 kPa = 29.04 inHg. A gauge at 16.4 inHg of vacuum is 12.64 inHg absolute:
// 4.04 inHg more than live data’s 8.6, where “8.6 against 16.4” would be 7.8.
test('8.6 inHg absolute in live data and 16.4 inHg of vacuum on the gauge stand on one basis, 4 inHg apart', async () => {
  await enter(page, 'scan 8.6');
  await enter(page, 'gauge manifold 16.4 inHg vac');
  await pad(page, 'Live data: 8.6 inHg abs').waitFor();
  await section(page, 'Compare');
  const row = (name: string) =>
    page.getByRole('table', { name: 'Pressures in one basis' }).getByRole('row', { name }).textContent();
  await expect.poll(() => row('Live data')).toContain('8.60 inHg');
  await expect.poll(() => row('Live data')).toContain('20.44 inHg of vacuum');
  await expect.poll(() => row('Gauge at the manifold')).toContain('12.64 inHg');
  await expect.poll(() => row('Gauge at the manifold')).toContain('16.40 inHg of vacuum');
});

test('with the signal read the sheet says which of the two the sensor is with, and whether it matters', async () => {
  await enter(page, 'ref 5.00');
  await enter(page, 'ret 5mV');
  // 3.0 V less 0.1 V for each inHg below sea level: 29.92 − 8.6 = 21.3 inHg, so 0.87 V.
  await enter(page, 'sig 0.87');
  await page.getByText(/✓ Agree\. Sensor is .* live data/u).waitFor();
  await page
    .getByText(/✕ Disagree, and it matters\. Sensor is 4\.0\d inHg below gauge at the manifold/u)
    .waitFor();
  await expect.poll(() => standing(page).textContent()).toContain('not proven yet');
});

test('an ambient of three days ago is questioned; one of today is not', async () => {
  const jobId = new URL(page.url()).pathname.split('/').at(-1);
  const days = (n: number) => new Date(Date.now() - n * 86_400_000).toISOString();
  await fetch(`${app.url}/api/jobs/${jobId}/readings`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      id: '01935a00-0000-7000-8000-0000000000aa',
      jobId,
      kind: 'ambient',
      takenAt: days(-0.001),
      enteredText: 'x',
      ambient: { source: 'barometer', stationKpaAbs: 98.4 },
    }),
  });
  await page.reload();
  await page.getByRole('button', { name: /^Ambient 29\.06 inHg · barometer · just now$/u }).waitFor();
  // The same page three days later.
  const context = await browser.newContext();
  const later = await context.newPage();
  await later.clock.install({ time: Date.now() + 3 * 86_400_000 });
  await later.goto(page.url());
  await later.getByRole('button', { name: /barometer · 3 days ago: read it again$/u }).waitFor();
  await context.close();
});

test('theme and units stay as they were chosen', async () => {
  await page.getByRole('button', { name: 'Dim', exact: true }).click();
  await page.reload();
  // The next one is offered.
  await page.getByRole('button', { name: 'Daylight', exact: true }).waitFor();
  await pad(page, 'Live data: 8.6 inHg abs').waitFor();
});
