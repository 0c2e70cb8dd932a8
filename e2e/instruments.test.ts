import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { choose, enter, noAccessibilityFault, openJob, pad, section } from './steps.ts';

const { app, page, complaints } = await opened();

const readings = () => page.getByRole('list', { name: 'Readings at this point' });

test('a meter is entered as its paper has it, and what is wrong is told at its field', async () => {
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Instruments' }).click();
  await page.getByRole('table', { name: 'Instruments' }).getByText('Workshop meter').waitFor();
  await noAccessibilityFault(page);
  await page.getByRole('button', { name: 'New instrument' }).click();
  await page.getByRole('button', { name: 'Save instrument' }).click();
  await page.getByText('Give the instrument a name.').waitFor();
  await page.getByLabel('Name').fill('Old meter of the boat house');
  await page.getByLabel('Accuracy, ± % of reading').fill('4');
  await page.getByLabel('plus counts').fill('5');
  await page.getByLabel('The display counts to').fill('2000');
  await page.getByLabel('Calibrated on').fill('2022-05-01');
  await page.getByLabel('Calibration due').fill('2021-05-01');
  await page.getByText('not before the calibration').waitFor();
  await page.getByLabel('Calibration due').fill('2023-05-01');
  await noAccessibilityFault(page);
  await page.reload(); // half a form survives
  await page.getByRole('button', { name: 'New instrument' }).click();
  await page.getByRole('button', { name: 'Save instrument' }).click();
  await page.getByText('Old meter of the boat house saved.').waitFor();
  await page.getByText('⚠ overdue since 2023-05-01').waitFor();
});

test('the job records which instrument took each reading, and an overdue one warns but widens nothing', async () => {
  await openJob(page, app.url, {
    machine: 'Brill P4 pump engine',
    complaint: 'runs rich',
    sensor: 'Corvel MS-3 manifold pressure',
    ambient: { source: 'Barometer here', pressure: '100.9' },
  });
  await enter(page, 'sig plug 4.03');
  await pad(page, 'Signal at the sensor plug').click();
  await readings()
    .getByText(/\(±3\.2 kPa, k = 2\)/u)
    .waitFor(); // sensor ±1.8 kPa, the common meter, and a reference that nobody read: ±0.1 V of it are the rest
  await page.getByLabel('Taken with').click();
  await page.getByRole('option', { name: 'Old meter of the boat house' }).click();
  await page.getByText('Calibration of Old meter of the boat house was due 2023-05-01').first().waitFor();
  await enter(page, 'sig plug 4.02');
  await readings().getByText('Taken with Old meter of the boat house.').waitFor();
  // 4 % of 4.02 V and 5 counts of 10 mV are 0.211 V, over 39 mV a kPa and √3: 3.1 kPa; the sensor adds 1.04, the unread reference 1.2.
  await readings()
    .getByText(/\(±7\.0 kPa, k = 2\)/u)
    .first()
    .waitFor();
});

test('the budget of a value names what dominates, and what half of it would change', async () => {
  await page.getByText('Where the doubt of the value from 4.02 V comes from').click();
  const budget = page.getByRole('table', { name: 'Uncertainty budget of the value from 4.02 V' });
  await expect
    .poll(() => budget.textContent())
    .toMatch(/Old meter of the boat house on the signal.*Sensor tolerance.*Together/su);
  await noAccessibilityFault(page);
});

test('“cannot tell” names the limiting instrument and what would suffice', async () => {
  await section(page, 'Compare');
  const said = page.getByText(/These instruments cannot tell/u).first();
  await said.waitFor();
  await expect
    .poll(() => said.textContent())
    .toMatch(
      /the limit is Old meter of the boat house on the (signal|reference): (±[\d.]+ kPa there would do|even a perfect one)/u,
    );
  await section(page, 'Reading');
});

test('a reading past the range of the instrument in hand is noted with a warning', async () => {
  await page.goto(`${app.url}/instruments`);
  await page.getByRole('button', { name: 'Change Old meter of the boat house' }).click();
  await page.getByLabel('Range to').fill('3');
  await page.getByRole('button', { name: 'Save instrument' }).click();
  await page.getByText('Old meter of the boat house saved.').waitFor();
  await page.goBack();
  await pad(page, 'Signal at the sensor plug').click();
  await page.getByLabel('Taken with').click();
  await page.getByRole('option', { name: 'Old meter of the boat house' }).click();
  await enter(page, 'sig plug 4.01');
  await page.getByRole('status').getByText('past what Old meter of the boat house can show').waitFor();
  // The earlier reading keeps the instrument as it was.
  await expect.poll(() => readings().getByText('Taken with Old meter of the boat house.').count()).toBe(2);
});

test('an instrument no longer in use is not offered any more', async () => {
  await page.goto(`${app.url}/instruments`);
  await page.getByRole('button', { name: 'Change Old meter of the boat house' }).click();
  await choose(page, 'No longer in use');
  await page.getByText('Meter, no longer in use').waitFor();
});

test('the browser had nothing to complain of', () => {
  expect(complaints).toEqual([]);
});
