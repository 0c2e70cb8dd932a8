import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { enter, noAccessibilityFault, practise, section, standing } from './steps.ts';

const { app, page, complaints } = await opened();

const found = () => page.getByRole('region', { name: 'What was found' });
const record = () => page.getByRole('button', { name: 'Record (R)' });
const open = async () => {
  await section(page, 'Sweeps');
  await page.getByRole('link', { name: 'Record live' }).click();
  await expect.poll(() => record().isEnabled()).toBe(true);
};
const doIt = (step: string | RegExp) => page.getByRole('button', { name: step }).click();
/** Long enough for a rest of the signal before and after. */
const rest = () => page.waitForTimeout(2200);

test('a dead spot is found on the simulated pedal while a hand moves it, and Standing says why it is the track', async () => {
  await practise(page, app.url, /crew van, pedal/u, 'A');
  await open();
  await record().click();
  await rest();
  await page.keyboard.press('m');
  await doIt('Do it: At the far stop');
  await page.waitForTimeout(5500);
  await page.keyboard.press('m');
  await doIt('Do it: At rest again');
  await page.waitForTimeout(5500);
  await page.keyboard.press('m');
  await page.keyboard.press('r');
  await found()
    .getByRole('button', { name: /^✕ Track 2 drops out at 3[567]\.\d %/u })
    .first()
    .waitFor();
  await found().getByText('3 of 3 marked steps are where the signal was expected.').waitFor();
  await page.getByRole('table', { name: 'Where the signal stood' }).getByText('At rest ✓').waitFor();
  await noAccessibilityFault(page);
  await page.getByRole('link', { name: 'To the job' }).click();
  await standing(page)
    .getByText(/Track 2 drops out at 3[567]\.\d % each of the 2 times that it passes: worn there/u)
    .waitFor();
});

test('pumped in steps, what is expected stands beside each; a step that is off is told by its name', async () => {
  await practise(page, app.url, /Brill P4/u, 'G');
  await enter(page, 'ambient 100.9 kPa');
  // Nobody read the reference yet: what is expected is wide. Read, it is narrow.
  await enter(page, 'ref 5.00');
  await open();
  const steps = page.getByRole('list', { name: 'Steps' });
  await steps.getByRole('button', { name: /^Pump off ?3\.9\d to 4\.1\d V$/u }).waitFor();
  await record().click();
  await rest();
  await page.keyboard.press('m');
  await doIt('Do it: 5 inHg vacuum');
  await rest();
  await page.keyboard.press('m');
  await page.keyboard.press('r');
  await found()
    .getByText(/^✕ At “5 inHg vacuum” the signal stood at \d\.\d\d V; expected 3\.\d\d to 3\.\d\d V\.$/u)
    .waitFor();
  await page.getByRole('link', { name: 'To the job' }).click();
  await standing(page)
    .getByText(/At “Pump off” the signal stood at/u)
    .waitFor();
});

test('a snap shows how fast the signal answers', async () => {
  await practise(page, app.url, /crew van, throttle/u, 'D');
  await open();
  await page.getByRole('combobox', { name: 'What will be done' }).click();
  await page.getByRole('option', { name: 'Snap' }).click();
  await record().click();
  await rest();
  await doIt('Do it: Snapped to the far stop');
  await rest();
  await page.keyboard.press('r');
  await found()
    .getByText(/^· Track 1 answers a step from 0\.\d\d to \d\.\d\d V in \d+ ms \(63 %\)/u)
    .waitFor();
  expect(complaints).toEqual([]);
});
