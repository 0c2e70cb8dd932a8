import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { choose, enter, openJob, pad, section, standing } from './steps.ts';

const { app, page, complaints } = await opened();

// By hand: p(1200 m) = 87.718 kPa (US Standard Atmosphere 1976); (1.20/4.95 + 0.04)/0.004 = 70.606 kPa absolute;
// 87.718 − 70.606 = 17.112 kPa = 5.05 inHg of vacuum. A gauge at 16.5 inHg shows 87.718 − 55.875 = 31.8 kPa.
test('1.20 V on a 4.95 V reference at 1,200 m is 70.6 kPa absolute and 5.05 inHg of vacuum', async () => {
  await openJob(page, app.url, {
    machine: 'Quill 1.4 pool car',
    complaint: 'sluggish at Highmoor',
    sensor: 'MPX4250A',
    ambient: { source: 'Altitude', altitude: '1200' },
  });
  await page.getByRole('button', { name: /^Ambient 87\.7 kPa · altitude/u }).waitFor();
  await choose(page, 'Idle');
  await enter(page, 'ref plug 4.95');
  await enter(page, 'ret plug 8mV');
  await enter(page, 'sig plug 1.20');
  await pad(page, 'Signal at the sensor plug: 1.20 V').waitFor();
  await choose(page, 'Idle');
  await pad(page, 'Signal at the sensor plug').click();
  const taken = page.getByRole('list', { name: 'Readings at this point' });
  // The measured 8 mV of return are taken off signal and supply: (1.192/4.942 + 0.04)/0.004 = 70.299 kPa by hand.
  await taken.getByText('70.3 kPa absolute = 5.14 inHg of vacuum').waitFor();
  await page.getByRole('button', { name: 'Take back' }).waitFor();
});

test('without a measured return the textbook value appears, and says what was taken for granted', async () => {
  await pad(page, 'Return at the sensor plug').click();
  await page.getByRole('button', { name: 'Take back 8 mV' }).click();
  await pad(page, 'Signal at the sensor plug').click();
  const taken = page.getByRole('list', { name: 'Readings at this point' });
  await taken.getByText('70.6 kPa absolute = 5.05 inHg of vacuum').waitFor();
  await expect.poll(() => taken.textContent()).toContain('return not measured yet');
});

test('a gauge in inHg of vacuum stands beside the sensor in one basis, and the difference is said to matter', async () => {
  await enter(page, 'gauge 16.5 inHg vac');
  await section(page, 'Compare');
  const table = page.getByRole('table', { name: 'Pressures in one basis' });
  const row = (name: string) => table.getByRole('row', { name: new RegExp(`^${name}`, 'u') }).textContent();
  await expect.poll(() => row('Sensor')).toContain('70.6 kPa');
  await expect.poll(() => row('Sensor')).toContain('5.05 inHg of vacuum');
  await expect.poll(() => row('Gauge at the sensor hose')).toContain('31.8 kPa');
  await expect.poll(() => row('Gauge at the sensor hose')).toContain('16.50 inHg of vacuum');
  await page
    .getByText('✕ Disagree, and it matters. Sensor is 38.8 kPa above gauge at the sensor hose')
    .waitFor();
});

test('a gauge too near to tell apart agrees, and live data stands on the same basis', async () => {
  await enter(page, 'gauge 5.5 inHg vac');
  await enter(page, 'scan 71 kPa');
  await page.getByText(/✓ Agree\. Sensor is .* gauge at the sensor hose/u).waitFor();
  await page.getByText(/✓ Agree\. Sensor is .* live data/u).waitFor();
});

test('the expectation stands on the lanes before anything is read, and follows the state', async () => {
  await choose(page, 'Key on, engine off');
  // By hand: 4.95·(0.004·87.718 − 0.04) = 1.539 V, ± √(3.45² + 2.5²) = 4.26 kPa · 19.8 mV = 84 mV.
  await pad(page, 'Signal at the sensor plug: expect 1.45 to 1.62 V').waitFor();
  await choose(page, 'Plug off');
  await pad(page, 'Signal at the sensor plug: not read yet').waitFor();
  await choose(page, 'Plug connected');
  await expect.poll(() => standing(page).textContent()).toContain('not proven yet');
});

test('units change everywhere at once', async () => {
  await page.getByLabel('Absolute in').selectOption('inHg');
  await page.getByRole('button', { name: /^Ambient 25\.90 inHg/u }).waitFor(); // 87.718 / 3.386389 by hand
});

test('the browser had nothing to complain of', () => {
  expect(complaints).toEqual([]);
});
