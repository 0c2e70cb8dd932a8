import type { Page } from 'playwright-core';
import { expect, test } from 'vitest';
import { opened, openPage } from './application.ts';
import { nextReading, practise, section, standing } from './steps.ts';

const { app, browser } = await opened();

const CASES = [
  ['A', 'Signal wire open', 'wire', 'Wire open: signal wire'],
  ['B', 'Nothing wrong now', 'nothing found', 'Nothing was wrong.'],
  ['C', 'Sensor stuck or dead', 'sensor', 'Sensor stuck: '],
  ['D', 'Reference wire open', 'wire', 'Wire open: reference wire'],
  ['E', 'Engine vacuum really is low', 'physical cause', 'vacuum really is low: engine'],
  ['F', 'Return wire open or high in resistance', 'wire', 'High resistance in a wire: return wire'],
  ['G', 'Sensor reads shifted', 'sensor', 'Sensor reads shifted: '],
  ['H', 'Signal shorted to reference', 'wire', 'Two wires touch each other: reference and signal'],
] as const;

/** Follows the sheet: goes where it asks, takes what the instrument shows, until the cause is proven. */
async function workToVerdict(page: Page): Promise<{ taken: string[]; provenEarly: boolean }> {
  await page.getByRole('button', { name: /^Barometer .* take$/u }).click();
  const taken: string[] = [];
  let provenEarly = false;
  for (let i = 0; i < 14; i++) {
    const title = (await standing(page).getByRole('heading', { level: 2 }).textContent()) ?? '';
    if (title === 'Standing: proven') return { taken, provenEarly };
    const wanted = (await nextReading(page).getByRole('heading', { level: 2 }).textContent()) ?? '';
    await nextReading(page).getByRole('button', { name: 'Go there' }).click();
    await page.getByRole('button', { name: 'Take this reading' }).click();
    taken.push(wanted.replace('Next: ', ''));
    await page.getByRole('status').filter({ hasText: 'Undo' }).waitFor();
    const [leader = ''] = await standing(page).getByRole('listitem').allTextContents();
    const proof = await standing(page).getByRole('list', { name: 'Proof' }).textContent();
    const proven =
      (await standing(page).getByRole('heading', { level: 2 }).textContent()) === 'Standing: proven';
    if (proven && leader.includes('Sensor')) {
      const supplied = taken.some((one) => one === 'reference at the sensor plug');
      const returned = taken.some((one) => one === 'return at the sensor plug');
      if (!supplied || !returned || proof?.includes('still to show')) provenEarly = true;
    }
  }
  throw new Error(`Not proven after ${taken.length} readings: ${taken.join(', ')}`);
}

test.each(CASES)(
  'case %s, worked as the sheet asks, is proven to be “%s”',
  async (letter, title, verdictClass, truth) => {
    const { page, complaints } = await openPage(browser);
    await practise(page, app.url, /Brill P4/u, letter);

    const { taken, provenEarly } = await workToVerdict(page);
    expect(provenEarly).toBe(false);
    const leader = standing(page)
      .getByRole('list', { name: 'Causes, likeliest first' })
      .getByRole('listitem')
      .first();
    expect(await leader.textContent()).toContain(title);
    expect(await leader.textContent()).toContain(verdictClass);
    expect(taken.length).toBeLessThanOrEqual(12);

    await section(page, 'Verdict');
    await page.getByRole('button', { name: `Record verdict: ${title}` }).click();
    await page.getByRole('list', { name: 'Recorded verdicts' }).getByText(title).waitFor();
    await page.getByText(truth).waitFor();
    expect(complaints).toEqual([]);
    await page.close();
  },
);

test('a proven open wire is narrowed down at the inline connector, and the lanes mark the stretch', async () => {
  const { page } = await openPage(browser);
  await practise(page, app.url, /Brill P4/u, 'D');
  await workToVerdict(page);
  await nextReading(page).getByRole('heading', { name: 'Next: reference at the inline connector' }).waitFor();
  await nextReading(page).getByRole('button', { name: 'Go there' }).click();
  await page.getByRole('button', { name: 'Take this reading' }).click();
  await page.getByText('✕ fault here').waitFor();
  expect(await page.getByText('✕ fault here').count()).toBe(1);
  await page.close();
});
