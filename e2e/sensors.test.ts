import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { enter, noAccessibilityFault, openJob, pad } from './steps.ts';

const { app, page, complaints } = await opened();

test('the library shows a sensor’s curve and its pump table, at sea level and in the hills (common practice)', async () => {
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Sensors', exact: true }).click();
  await page.getByLabel('Search sensors').fill('0.1 v inhg');
  await page.getByRole('link', { name: 'Manifold pressure, 3.0 V less 0.1 V per inHg' }).click();
  await page.getByRole('img', { name: 'Signal against absolute pressure' }).waitFor();
  const table = page.getByRole('table', { name: 'What a pump table should read' });
  const row = (vacuum: string) =>
    table.getByRole('row').filter({ has: page.getByRole('cell', { name: vacuum, exact: true }) });
  await expect.poll(() => row('20').textContent()).toContain('1.00 V');
  await page.getByLabel('Ambient pressure').fill('845.6 mbar'); // 1,500 m: US Standard Atmosphere, 1976
  await table.getByText('2.50 V').first().waitFor();
  await expect.poll(() => row('0').textContent()).toContain('2.50 V');
  await expect.poll(() => row('20').textContent()).toContain('0.50 V');
  await noAccessibilityFault(page);
});

test('an ambient that no road has is refused at the field', async () => {
  await page.getByLabel('Ambient pressure').fill('3');
  await page.getByText('does not occur on a road').waitFor();
});

test('a sensor is made from points; a slip is pointed out, and nothing typed is lost on the way', async () => {
  await page.getByRole('link', { name: 'New sensor from points' }).click();
  await page.getByRole('button', { name: 'Save sensor' }).click();
  await page.getByText('Give the sensor a name, in plain words.').waitFor();
  await page.getByLabel('Name').fill('Pump engine 4, old sensor');
  await page.getByLabel('Where the points come from').fill('pump sweep');
  // On V = 0.04·P − 0.3, but for the fourth point.
  const points = page.getByRole('textbox', { name: /^Points/u });
  await points.fill('20 0.5\n50 1.7\n80 2.9\n100 4.4\n110 4.1');
  await page.getByText('The point 100.0 kPa, 4.400 V does not fit the others').waitFor();
  await page.reload();
  await expect.poll(() => points.inputValue()).toContain('100 4.4');
  await points.fill('20 0.5\n50 1.7\n80 two');
  await page.getByText('Line 3, “80 two”, is not a pressure and a voltage.').waitFor();
  await points.fill('20 0.5\n50 1.7\n80 2.9\n100 3.7\n110 4.1');
  await page.getByText('The points scatter about the line by 0 mV').waitFor();
  await noAccessibilityFault(page);
  await page.getByRole('button', { name: 'Save sensor' }).click();
  await page.getByRole('heading', { name: 'Pump engine 4, old sensor' }).waitFor();
});

test('a job with that sensor converts with its curve', async () => {
  await openJob(page, app.url, {
    machine: 'Brill P4 pump engine',
    complaint: 'runs rich',
    sensor: 'Pump engine 4, old sensor',
    ambient: { source: 'Barometer here', pressure: '100' },
  });
  await enter(page, 'ref plug 4.90');
  await enter(page, 'ret plug 0mV');
  await enter(page, 'sig plug 2.842');
  await pad(page, 'Signal at the sensor plug').click();
  // Ratiometric at 5 V: 2.842 / 4.9 · 5 = 2.9 V, and (2.9 + 0.3) / 0.04 = 80.0 kPa by hand.
  await page.getByRole('list', { name: 'Readings at this point' }).getByText('80.0 kPa absolute').waitFor();
});

test('the browser had nothing to complain of', () => {
  expect(complaints).toEqual([]);
});
