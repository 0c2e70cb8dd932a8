import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { noAccessibilityFault } from './steps.ts';

const { app, page, complaints } = await opened();

const answer = () => page.getByRole('group', { name: 'Answer' });
const open = (address: string) => page.goto(`${app.url}/reference/${address}`);

test('the screen opens in passing from the list of jobs', async () => {
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Reference' }).click();
  await answer().getByText('Absolute').waitFor();
});

// Each expected number by hand, from the formula beside the calculator.
test.each([
  // 98.357 kPa − 16.4 · 3.386389 kPa = 42.82 kPa
  ['pressure?value=16.4&unit=inHg&basis=vacuum&altitude=250', '42.8 kPa'],
  // 1 013 mbar absolute at sea level is 0.25 mbar of vacuum
  ['pressure?value=1013&unit=mbar&basis=absolute&altitude=0&to=mbar', '1013 mbar'],
  // 5 V over 5 Ω + 714.3 Ω
  ['ohms?returnOhms=5&milliamps=7', '35 mV'],
  // 0.75 · 1.6 · 800/120 · 32 / (0.28705 · 313.15) g/s
  ['airflow?litres=1.6&revs=800&pressure=32&temperature=40&efficiency=75', '2.85 g/s'],
  // 5 − 0.8 = 4.2 V
  ['pair?first=0.80&second=4.35', '4.200 V'],
  // 571.7 kPa absolute less 101.3 kPa
  ['refrigerant?temperature=20', '68.22 psi'],
  // 591.8 kPa absolute (its equation of state, by CoolProp) less 101.325 kPa
  ['refrigerant?temperature=20&refrigerant=R-1234yf', '71.14 psi'],
])('%s answers %s, from its address alone', async (address, value) => {
  await open(address);
  await answer().getByText(value, { exact: true }).first().waitFor();
});

test('what is typed goes into the address, so that a reload or a colleague sees the same', async () => {
  await open('pressure');
  await page.getByRole('textbox', { name: 'Pressure' }).fill('8,6');
  await page.getByLabel('Basis').click();
  await page.getByRole('option', { name: 'absolute' }).click();
  const absolute = () => expect.poll(() => answer().textContent()).toMatch(/Absolute29\.1 kPa/u); // 8.6 · 3.386389
  await absolute();
  const address = page.url();
  expect(address).toContain('basis=absolute');
  await page.goto('about:blank');
  await page.goto(address);
  await absolute();
});

test('volts and pressure convert for any sensor and reference', async () => {
  await open('sensor?reference=4.95&volts=1.20&value=70.606');
  await page.getByLabel('Sensor').click();
  await page.getByRole('option', { name: 'MPX4250A' }).click();
  await answer().getByText('70.6 kPa abs', { exact: true }).waitFor();
  await answer().getByText('1.200 V', { exact: true }).waitFor();
});

test.each([
  ['pressure?value=two', 'is not a number'],
  ['pressure?value=40&unit=inHg&basis=vacuum', 'below nothing'],
  ['pressure?altitude=99999', 'An altitude of 99999 m is outside'],
  ['refrigerant?temperature=95', 'is outside the range'],
  ['sensor?reference=1', 'its signal means nothing'],
  ['airflow?litres=', 'There is no value yet'],
])('%s shows no answer but what is wrong, at the field', async (address, message) => {
  await open(address);
  await page.getByText(message).waitFor();
  await expect.poll(() => page.getByText(/NaN|Infinity/u).count()).toBe(0);
});

test('an address with nonsense in it falls back to what can be chosen', async () => {
  await open('pressure?unit=furlong&basis=sideways&to=%3Cscript%3E');
  await answer().getByText('Absolute').waitFor();
});

test.each(['pressure', 'sensor', 'ohms', 'airflow', 'pair', 'refrigerant'])(
  'the %s calculator has no accessibility fault',
  async (name) => {
    await open(name);
    await answer().waitFor();
    await noAccessibilityFault(page);
  },
);

test('the browser had nothing to complain of', () => {
  expect(complaints).toEqual([]);
});

test('codes are read one by one and together, and a wrong one is named without losing what was typed', async () => {
  await open('codes');
  const field = page.getByRole('textbox', { name: 'Codes' });
  await field.fill('P0641 p0107, P1234');
  const read = page.getByRole('region', { name: 'What the codes say' });
  await read
    .getByText('P0641 first: without its supply a sensor reads wrong, so that P0107 may only follow.')
    .waitFor();
  await read.getByText('The unit saw manifold pressure below what a working sensor gives.').waitFor();
  await read.getByText('A maker’s own code: kept').waitFor();
  expect(new URL(page.url()).searchParams.get('codes')).toBe('P0641 p0107, P1234');
  await noAccessibilityFault(page);
  await field.fill('P0641 P01');
  await page.getByText('P01').first().waitFor();
  await expect.poll(() => field.getAttribute('aria-invalid')).toBe('true');
  await expect.poll(() => field.inputValue()).toBe('P0641 P01');
});
