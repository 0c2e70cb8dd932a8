import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { noAccessibilityFault } from './steps.ts';

const { app, page, complaints } = await opened();

const open = (path: string) => page.goto(`${app.url}${path}`);

test('the library is browsed by family and by words', async () => {
  await open('/sensors');
  await page.getByLabel('Family').click();
  await page.getByRole('option', { name: /Accelerator pedal position/u }).click();
  const list = page.getByRole('navigation', { name: 'Sensors' });
  await expect.poll(() => list.getByRole('link').count()).toBe(2);
  await list.getByRole('link', { name: /half-ratio/u }).click();
  const travel = page.getByRole('table', { name: 'What each step should read' });
  // Track 1 runs from 1.0 to 4.4 V, track 2 is half of it: at 50 % 2.70 and 1.35 V by hand.
  const half = travel.getByRole('row').filter({ has: page.getByRole('cell', { name: '50', exact: true }) });
  await expect.poll(() => half.textContent()).toMatch(/2\.70 V.*1\.35 V/u);
  await page.getByRole('table', { name: 'Pins' }).getByText('Reference, track 2').waitFor();
  await page.getByText('Tracks often have separate references. (common practice)').waitFor();
  await noAccessibilityFault(page);
});

test('what a refrigerant sensor should read at rest follows from the air and the refrigerant', async () => {
  await open('/sensors/01935a00-0000-7000-8000-000000000021');
  const states = page.getByRole('table', { name: 'What to expect in each state' });
  const rest = states.getByRole('row').filter({ hasText: 'Key on, engine off' });
  await expect.poll(() => rest.textContent()).toContain('saturation pressure of R-134a at 20 ± 2 °C');
  const before = await rest.textContent();
  await page.getByLabel('Air temperature, °C').fill('35');
  await expect.poll(() => rest.textContent()).not.toBe(before);
  await page.getByRole('combobox', { name: 'Refrigerant' }).click();
  await page.getByRole('option', { name: 'R-1234yf' }).click();
  await expect.poll(() => rest.textContent()).toContain('R-1234yf at 35');
});

test('a changed sensor is a new version, and the old one can still be looked at', async () => {
  await open('/sensors');
  await page.getByLabel('Search sensors').fill('fenlight ef-1');
  await page.getByRole('link', { name: /Fenlight EF-1/u }).click();
  await page.getByRole('link', { name: 'Change' }).click();
  await page.getByLabel('Notes for the workshop').fill('Port next to the fan.');
  await page.getByRole('button', { name: 'Add a terminal' }).click();
  await page.getByLabel('Colour').fill('green');
  await noAccessibilityFault(page);
  await page.getByRole('button', { name: 'Save as new version' }).click();
  await page.getByText('Version 2.').waitFor();
  await page.getByText('Port next to the fan.').waitFor();
  await page.getByRole('link', { name: '1', exact: true }).click();
  await page.getByRole('link', { name: 'go to version 2' }).waitFor();
});

test('a copy starts from the original, and half of it survives a reload', async () => {
  await open('/sensors/01935a00-0000-7000-8000-000000000019');
  await page.getByRole('link', { name: 'Duplicate' }).click();
  await expect
    .poll(() => page.getByLabel('Name').inputValue())
    .toBe('Brill HF-5 air flow, hot element with air temperature, copy');
  await page.getByLabel('Name').fill('Marsh Lane flow meter');
  await page.reload();
  await expect.poll(() => page.getByLabel('Name').inputValue()).toBe('Marsh Lane flow meter');
  await page.getByRole('button', { name: 'Save sensor' }).click();
  await page.getByRole('heading', { name: 'Marsh Lane flow meter' }).waitFor();
  await page.getByText('V² = 0.900 + 0.950 · flow^0.520.').waitFor();
});

test('points of a hot element are fitted, drawn with residuals, and a bad one is pointed out', async () => {
  await open('/sensors/new');
  await page.getByLabel('Family').press('Enter');
  await page.getByRole('option', { name: 'Air flow, hot element' }).click();
  await page.getByLabel('Shape of the curve').press('Enter');
  await page.getByRole('option', { name: /Hot element/u }).click();
  const points = page.getByRole('textbox', { name: /^Points/u });
  // On V² = 0.9 + 0.95·√flow to a millivolt, but for 100 g/s.
  await points.fill('0 0.949\n4 1.673\n9 1.936\n16 2.168\n36 2.569\n64 2.915\n100 3.9\n144 3.507\n196 3.768');
  await page.getByText(/The point 100\.0 g\/s, 3\.900 V does not fit the others/u).waitFor();
  await page.getByRole('img', { name: /Residuals/u }).waitFor();
  await points.fill(
    '0 0.949\n4 1.673\n9 1.936\n16 2.168\n36 2.569\n64 2.915\n100 3.225\n144 3.507\n196 3.768',
  );
  await page
    .getByText(/V² = 0\.90\d \+ 0\.9[45]\d · flow\^0\.50\d\. The points scatter about the law by [01] mV/u)
    .waitFor();
  await page.getByRole('button', { name: 'Start again' }).click();
  await expect.poll(() => points.inputValue()).toBe('');
});

test('the browser had nothing to complain of', () => {
  expect(complaints).toEqual([]);
});
