import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { enter, noAccessibilityFault, pad, section, standing, weighed } from './steps.ts';

const { app, page } = await opened({ data: 'demo' });

const repeats = () => page.getByRole('list', { name: 'Before and after' });
const repeat = (where: RegExp) => page.getByRole('textbox', { name: where });
const proof = () => page.getByRole('region', { name: 'The same tests again' }).getByRole('status');

test('a repair begins the readings anew: the same tests are asked for again, and both together prove it', async () => {
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Larch 1.6 crew van 7' }).click();
  await weighed(page);
  await section(page, 'Repair');
  // What was done has to be said; what was typed stays through a change of section.
  await page.getByRole('button', { name: 'Put it on record' }).click();
  await page.getByText('Choose what was done.').waitFor();
  await page.getByRole('combobox', { name: 'What was done' }).click();
  await page.getByRole('option', { name: 'Another part replaced' }).click();
  await page.getByLabel('Which part, where').fill('timing belt');
  await page.getByLabel('Number of the new part').fill('LT-16');
  await section(page, 'Record');
  await section(page, 'Repair');
  expect(await page.getByLabel('Which part, where').inputValue()).toBe('timing belt');
  await page.getByRole('button', { name: 'Put it on record' }).click();

  await expect
    .poll(() => proof().textContent())
    .toBe('Repair not proven yet: of the 3 readings that were off, 3 have not been shown to be right.');
  await noAccessibilityFault(page, { within: '[role=tabpanel]' });
  // The lanes are those of the repaired machine: nothing is read on it yet.
  await pad(page, 'Reference at the sensor plug: expect').waitFor();
  // What was off stands first, and Enter goes to the next point.
  const first = repeats().getByRole('textbox').first();
  const [, low, high] = /expect ([\d.]+) to ([\d.]+) V/u.exec(
    (await repeats().getByRole('listitem').first().textContent()) ?? '',
  )!;
  await first.fill('gauge manifold 19 inHg vac');
  await first.press('Enter');
  await page.getByText('That is a reading of another point.').waitFor();
  expect(await first.inputValue()).toBe('gauge manifold 19 inHg vac');
  await first.fill(((Number(low) + Number(high)) / 2).toFixed(2));
  await first.press('Enter');
  await expect.poll(() => proof().textContent()).toContain('2 have not been shown to be right');
  await repeat(/^Read again: Live data, idle/u).fill('33 kPa');
  await repeat(/^Read again: Live data, idle/u).press('Enter');
  await repeat(/^Read again: Gauge at the manifold, idle/u).fill('20 inHg vac');
  await repeat(/^Read again: Gauge at the manifold, idle/u).press('Enter');
  await expect
    .poll(() => proof().textContent())
    .toBe(
      'Repair proven: all 3 readings that were off are as expected now, as far as the instrument can tell, in the same state. 3 others were not repeated.',
    );
  await weighed(page);
  expect(await standing(page).textContent()).toContain('Nothing wrong now');
  expect(await standing(page).textContent()).not.toMatch(/mistaken|slip/iu);
});

test('a second reading that is off is a second fault, until it is right', async () => {
  await enter(page, 'ret plug 0.9');
  await expect
    .poll(() => proof().textContent())
    .toContain('Off now, and not before: Return at the sensor plug');
  await enter(page, 'ret plug 0.01');
  await expect.poll(() => proof().textContent()).toContain('Repair proven');
});

test('the report tells the work, its proof and every verdict, and the record keeps every reading', async () => {
  await page.getByRole('link', { name: 'Report' }).click();
  const report = page.getByRole('main');
  await report
    .getByRole('listitem')
    .filter({ hasText: 'another part replaced: timing belt, new part LT-16' })
    .waitFor();
  const text = (await report.textContent()) ?? '';
  expect(text).toContain('Engine vacuum really is low');
  expect(text).toContain('The sensor on order goes back.');
  expect(text).toContain('Repair proven: all 3 readings');
  const rows = report.getByRole('table', { name: 'All readings' }).getByRole('row');
  // Each once, those of before and those of after.
  for (const value of ['2.26 V', '20.00 inHg vac', '13.75 inHg vac', '33 kPa abs'])
    expect(await rows.filter({ hasText: value }).count(), value).toBe(1);
  await noAccessibilityFault(page);
  await page.getByRole('link', { name: 'Back to the sheet' }).click();
});

test('work that is taken back was not done: the readings of before count again', async () => {
  await weighed(page);
  await section(page, 'Repair');
  await page.getByRole('button', { name: /^Take back another part replaced/u }).click();
  await pad(page, 'Reference at the sensor plug: 5.01 V').waitFor();
  expect(await page.getByRole('region', { name: 'The same tests again' }).count()).toBe(0);
});
