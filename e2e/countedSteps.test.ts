import type { Locator } from 'playwright-core';
import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { openJob, PLUG_BY_THE_BOOK, quickEntry, standing, weighed } from './steps.ts';

// Taps and keys of five jobs, as docs/steps.md has them: none becomes longer than it was.

const { app, page, complaints } = await opened();

let taps = 0;
let keys = 0;
const tap = async (where: Locator): Promise<void> => {
  await where.click();
  taps++;
};
const type = async (text: string): Promise<void> => {
  await page.keyboard.type(text);
  keys += text.length;
};
const enter = async (text: string): Promise<void> => {
  await type(text);
  await page.keyboard.press('Enter');
  keys++;
};
/** On the line that is typed into, once it has taken what was there. */
const line = async (text: string): Promise<void> => {
  await enter(text);
  await expect.poll(() => quickEntry(page).inputValue()).toBe('');
};
const isInHand = (field: Locator): Promise<boolean> =>
  field.evaluate((one) => one === document.activeElement);
const tab = (name: string): Locator => page.getByRole('tab', { name, exact: true });

async function begin(sensor: string): Promise<void> {
  await openJob(page, app.url, {
    machine: 'Brill P4 pump engine',
    complaint: 'as it came in',
    sensor,
    ambient: { source: 'Barometer here', pressure: '101.3' },
  });
  taps = keys = 0;
}

test('a pump table of ten points takes the figures, an Enter each, and three taps', async () => {
  await begin('Tern 2-bar manifold pressure');
  await tap(tab('Pump & sweep'));
  await tap(page.getByRole('button', { name: '10 steps' }));
  const fields = page.getByRole('table', { name: 'Pump sweep' }).getByRole('textbox');
  await expect.poll(() => fields.count()).toBe(10);
  await tap(fields.first());
  for (let step = 0; step < 10; step++) {
    await enter('1.27');
    if (step < 9) await expect.poll(() => isInHand(fields.nth(step + 1))).toBe(true);
  }
  expect(taps + keys - 10 * '1.27'.length).toBeLessThanOrEqual(13);
});

test('by the digits of the meter alone the same table takes three a point, and no Enter', async () => {
  await begin('Tern 2-bar manifold pressure');
  await tap(tab('Pump & sweep'));
  await tap(page.getByRole('button', { name: '10 steps' }));
  await tap(page.getByRole('button', { name: '123 for 1.23' }));
  const table = page.getByRole('table', { name: 'Pump sweep' });
  const fields = table.getByRole('textbox');
  await expect.poll(() => fields.count()).toBe(10);
  await tap(fields.first());
  for (let step = 0; step < 10; step++) {
    await type('127');
    if (step < 9) await expect.poll(() => isInHand(fields.nth(step + 1))).toBe(true);
  }
  await expect.poll(() => table.getByText('1.270').count()).toBe(10);
  // A third less than the 62 of before, figures and all.
  expect(taps + keys).toBeLessThanOrEqual(34);
  // An Enter out of habit passes over no row, and half a figure is not guessed at.
  await fields.nth(3).click();
  await page.keyboard.press('Enter');
  await expect.poll(() => isInHand(fields.nth(3))).toBe(true);
  await page.keyboard.type('12');
  await page.keyboard.press('Enter');
  await page.getByRole('alert').getByText('Type all digits, 123 for 1.23, or the point as well.').waitFor();
  await expect.poll(() => fields.nth(3).inputValue()).toBe('12');
  // It outlives a look elsewhere.
  await tap(tab('Record'));
  await tap(tab('Pump & sweep'));
  await expect.poll(() => fields.nth(3).inputValue()).toBe('12');
  await fields.nth(3).focus();
  await page.keyboard.press('End');
  await page.keyboard.type('6');
  await table.getByText('1.260').waitFor();
  await page.getByRole('button', { name: 'As typed' }).click();
});

test('a vacuum gauge against live data', async () => {
  await begin('0.1 V per inHg');
  await tap(page.getByRole('button', { name: 'Idle', exact: true }));
  await tap(quickEntry(page));
  await line('scan 8.6');
  await line('gauge 16.4 inHg vac');
  await tap(tab('Compare'));
  await page.getByRole('table', { name: 'Pressures in one basis' }).getByText('Gauge').first().waitFor();
  expect(taps + keys).toBeLessThanOrEqual(32);
});

test('three terminals named: whoever has typed one answer goes on typing', async () => {
  await begin('Tern 2-bar manifold pressure');
  await tap(tab('Isolate'));
  await tap(tab('Which wire is which'));
  const next = page.getByRole('region', { name: 'Next measurement' });
  const known = page.getByText('Every terminal is named for certain.');
  let before = '';
  for (let asked = 0; asked < 12; asked++) {
    // As it is now, without waiting for what may just have gone.
    const words = async () => (await next.allTextContents())[0] ?? '';
    await expect.poll(async () => (await known.count()) > 0 || (await words()) !== before).toBe(true);
    if ((await known.count()) > 0) break;
    before = await words();
    const terminal = /terminal (\d)/u.exec(before)?.[1] ?? '';
    if (before.includes('follow')) {
      await tap(next.getByRole('button', { name: terminal === '1' ? 'It follows' : 'It stays' }));
      continue;
    }
    const field = next.getByRole('textbox');
    if (asked === 0) await tap(field);
    else await expect.poll(() => isInHand(field)).toBe(true);
    await next.getByRole('button', { name: 'Save', disabled: false }).waitFor();
    const asks = Object.keys(PLUG_BY_THE_BOOK).find((one) => before.includes(one)) ?? '';
    await enter(PLUG_BY_THE_BOOK[asks]?.[terminal] ?? '');
  }
  await tap(page.getByRole('button', { name: 'Write these names onto the job' }));
  await page.getByText('Written down').waitFor();
  expect(taps + keys).toBeLessThanOrEqual(33);
});

test('a pair of tracks at rest and at full travel', async () => {
  await begin('Larch AP-2 pedal, half-ratio pair');
  await tap(quickEntry(page));
  await line('sig 0.76');
  await line('sig2 0.38');
  await tap(page.getByRole('button', { name: 'Fully down', exact: true }));
  await tap(quickEntry(page));
  await line('sig 3.84');
  await line('sig2 1.92');
  await tap(tab('Compare'));
  await page
    .getByText(/track 2/u)
    .first()
    .waitFor();
  expect(taps + keys).toBeLessThanOrEqual(42);
});

test('an open wire, from the first reading to the verdict on record', async () => {
  await begin('Tern 2-bar manifold pressure');
  await tap(quickEntry(page));
  const readings = ['sig 0.01', 'ref 0.02', 'ref unit 4.99', 'ref connector 4.98'];
  // What a part or a loom is condemned by is read twice.
  for (const text of [...readings, 'ret 6mV', 'ref 0.02', 'ref connector 4.98']) await line(text);
  await weighed(page);
  await expect.poll(() => standing(page).textContent()).toContain('Standing: proven');
  await tap(tab('Finish'));
  await tap(page.getByRole('button', { name: /^Record verdict: Reference wire/u }));
  await page.getByRole('list', { name: 'Recorded verdicts' }).getByText('Reference wire').waitFor();
  expect(taps + keys).toBeLessThanOrEqual(90);
  expect(complaints).toEqual([]);
});
