import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { noAccessibilityFault, openJob, PLUG_BY_THE_BOOK, practise, section } from './steps.ts';

const { app, page, complaints } = await opened();

const next = () => page.getByRole('region', { name: 'Next measurement' });
const rowOf = (name: string) =>
  page.getByRole('table', { name: 'Terminals' }).getByRole('row').filter({ hasText: name });
const done = () => page.getByText(/Every terminal is named for certain|No further measurement/u);

async function answerByTheBook(): Promise<number> {
  for (let asked = 0; asked < 12; asked++) {
    await Promise.race([next().waitFor(), done().waitFor()]);
    await page.waitForTimeout(300); // the answer to the last reading
    if ((await next().count()) === 0) return asked;
    const words = (await next().textContent()) ?? '';
    const terminal = /terminal (\d)/u.exec(words)?.[1] ?? '';
    if (words.includes('follow')) {
      await next()
        .getByRole('button', { name: terminal === '1' ? 'It follows' : 'It stays' })
        .click();
      continue;
    }
    const test_ = Object.keys(PLUG_BY_THE_BOOK).find((known) => words.includes(known)) ?? '';
    await next()
      .getByRole('textbox')
      .fill(PLUG_BY_THE_BOOK[test_]?.[terminal] ?? '');
    await next().getByRole('button', { name: 'Save' }).click();
  }
  throw new Error('The finder asks on and on.');
}

test('a value that is none is refused with what to type, and stays in its field', async () => {
  await openJob(page, app.url, {
    machine: 'Tolland 95 tractor',
    complaint: 'no plug in the diagram',
    sensor: 'Tern 2-bar manifold pressure',
  });
  await section(page, 'Wires');
  await next().waitFor();
  await next().getByRole('textbox').fill('high');
  await next().getByRole('button', { name: 'Save' }).click();
  await next().getByText('is not').waitFor();
  await expect.poll(() => next().getByRole('textbox').inputValue()).toBe('high');
});

test('three unknown terminals are named for certain with few measurements, each with its evidence', async () => {
  const asked = await answerByTheBook();
  expect(asked).toBeLessThanOrEqual(7);
  await page.getByText('Every terminal is named for certain.').waitFor();
  await rowOf('✓ signal').getByRole('rowheader', { name: '1' }).waitFor();
  await rowOf('✓ return').getByRole('rowheader', { name: '2' }).waitFor();
  await rowOf('✓ reference').getByRole('rowheader', { name: '3' }).waitFor();
});

test('a reload keeps what was measured; a measurement taken off is asked for again', async () => {
  await page.reload();
  await section(page, 'Wires');
  await page.getByText('Every terminal is named for certain.').waitFor();
  const chips = page.getByRole('table', { name: 'Terminals' }).getByRole('button');
  await chips.first().focus();
  await page.keyboard.press('Delete');
  await next().waitFor();
  await answerByTheBook();
  await page.getByText('Every terminal is named for certain.').waitFor();
});

test('the names go onto the job, where they can be read and changed', async () => {
  await page.getByRole('button', { name: 'Write these names onto the job' }).click();
  await page.getByText('Written down.').waitFor();
  await section(page, 'Job');
  await page.getByText('Plug on this vehicle, changed from the sensor’s list').waitFor();
});

test('a plug that disagrees with the list is said to, on a simulated machine whose order nobody knows', async () => {
  await practise(page, app.url, /RC2 boat · manifold/u, 'E');
  await section(page, 'Wires');
  for (let i = 0; i < 16; i++) {
    await Promise.race([next().waitFor(), done().waitFor()]);
    await page.waitForTimeout(300);
    if ((await next().count()) === 0) break;
    await next().getByRole('button', { name: 'Measure (simulated)' }).click();
  }
  await rowOf('reference').first().waitFor();
  const rows = await page.getByRole('table', { name: 'Terminals' }).getByRole('row').allTextContents();
  const found = rows.slice(1).map((row) => /[✓~] (reference|return|signal|temperature)/u.exec(row)?.[1]);
  expect(found.toSorted()).toEqual(['reference', 'return', 'signal', 'temperature']);
  // The library lists return, temperature, reference, signal: wherever the plug differs it says so, and nowhere else.
  const listed = ['return', 'temperature', 'reference', 'signal'];
  rows.slice(1).forEach((row, i) => expect(row.includes('the plug disagrees')).toBe(found[i] !== listed[i]));
});

test('with the plug left on no ohms and no open volts are asked for', async () => {
  await page.getByRole('button', { name: 'Start over' }).click();
  await page.getByRole('button', { name: 'Stays on' }).click();
  await next().getByText('Plug connected').waitFor();
});

test('the screen has no accessibility fault, and the browser had nothing to complain of', async () => {
  await noAccessibilityFault(page);
  expect(complaints).toEqual([]);
});
