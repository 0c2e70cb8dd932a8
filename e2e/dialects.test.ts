import { writeFileSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, test } from 'vitest';
import { opened } from './application.ts';
import { noAccessibilityFault, openJob, section } from './steps.ts';

const folder = await mkdtemp(join(tmpdir(), 'lettura-dialects-'));
afterAll(() => rm(folder, { recursive: true }));
const { app, page, complaints } = await opened();
const found = () => page.getByRole('region', { name: 'What was found' });

/** Six seconds of a half-ratio pedal, up and down; track 2 lifts off round 41 %. In seconds and volts. */
const SWEEP = Array.from({ length: 1500 }, (_, i) => {
  const travel = Math.min(1, Math.max(0, Math.min((i - 100) / 600, (1400 - i) / 600)));
  const first = 1 + 3.4 * travel;
  return { t: i / 250, first, second: travel > 0.4 && travel < 0.42 ? 0.01 : first / 2 };
});
type Row = (typeof SWEEP)[number];
const file = (heading: readonly string[], row: (one: Row) => string, end = '\n') =>
  [...heading, ...SWEEP.map(row)].join(end) + end;
const comma = (text: string) => text.replaceAll('.', ',');
const mV = (volts: number) => (1000 * volts).toFixed(0);
const clock = (t: number) => new Date(Date.UTC(2026, 2, 2, 9, 0, 0) + 1000 * t).toISOString();

/** Each as another logger would have written it. */
const DIALECTS: Record<string, string> = {
  'unit behind the name': file(
    ['time_ms,app1_V,app2_V'],
    ({ t, first, second }) => `${(1000 * t).toFixed(0)},${first.toFixed(3)},${second.toFixed(3)}`,
  ),
  'units in brackets in a second row': file(
    ['Time\tA\tB', '(ms)\t(V)\t(V)', ''],
    ({ t, first, second }) => `${(1000 * t).toFixed(1)}\t${first.toFixed(4)}\t${second.toFixed(4)}`,
  ),
  'decimal commas and millivolts': file(['Zeit (s);Pedal (mV);Zweite (mV)'], ({ t, first, second }) =>
    comma(`${t.toFixed(3)};${mV(first)},0;${mV(second)},0`.replaceAll(',', '.')),
  ),
  'remarks with numbers in them': file(
    ['# 250 samples a second', '# 1, 2, 3', 'Time (s),First (V),Second (V)'],
    ({ t, first, second }) => `${t.toFixed(3)},${first.toFixed(3)},${second.toFixed(3)}`,
  ),
  'clock times': file(
    ['stamp,out1 [V],out2 [V]'],
    ({ t, first, second }) => `${clock(t)},${first.toFixed(3)},${second.toFixed(3)}`,
  ),
  'quoted, with a byte order mark': `\uFEFF${file(
    ['"t [s]","One [V]","Two [V]"'],
    ({ t, first, second }) => `"${t.toFixed(3)}","${first.toFixed(3)}","${second.toFixed(3)}"`,
    '\r\n',
  )}`,
  'a slash before the unit': file(
    ['Time/us,Out_A/V,Out_B/V'],
    ({ t, first, second }) => `${(1e6 * t).toFixed(0)},${first.toExponential(5)},${second.toExponential(5)}`,
  ),
  'one value a row, each by its name': file(
    ['Time (s);Item;Value;Unit'],
    ({ t, first, second }) =>
      `${t.toFixed(3)};Track A;${first.toFixed(3)};V\n${t.toFixed(3)};Track B;${second.toFixed(3)};V`,
  ),
  'units without brackets, settings above': file(
    ['gain,1', 'Seconds,Volt A,Volt B', 's,V,V'],
    ({ t, first, second }) => `${t.toFixed(3)},${first.toFixed(3)},${second.toFixed(3)}`,
  ),
};

test('the same sweep as nine loggers write it: each is read as it is, and its dead spot found', async () => {
  await openJob(page, app.url, {
    machine: 'Larch 1.6 crew van 8',
    complaint: 'hesitates at part pedal',
    sensor: 'Larch AP-2 pedal, half-ratio pair',
  });
  await section(page, 'Sweeps');
  const job = page.url().split('#')[0]!.split('?')[0]!;
  const importPage = `${/^.*\/jobs\/[^/]+/u.exec(job)![0]}/sweeps/import`;
  for (const [name, content] of Object.entries(DIALECTS)) {
    const path = join(folder, `${name}.csv`);
    writeFileSync(path, content);
    await page.goto(importPage);
    await page.getByRole('button', { name: 'Choose a file' }).waitFor();
    await page.locator('input[type=file]').setInputFiles(path);
    await page.getByRole('button', { name: 'Read and keep on the job' }).click();
    await page.getByText('1,500 samples in 6.0 s').waitFor();
    await found()
      .getByRole('button', { name: /^✕ Track 2 drops out at 4[01]\.\d %/u })
      .first()
      .waitFor();
    // Nothing of it had to be left out, and the marks are these alone.
    await expect.poll(() => found().getByText('?').count(), { message: name }).toBe(0);
  }
});

test('what a kept recording’s channels are is corrected, and it is withdrawn and brought back', async () => {
  const panel = page.getByRole('region', { name: 'What it is' });
  await panel.getByRole('button', { name: 'Change name, note or channels' }).click();
  await panel.getByLabel('Unit of Volt B').fill('kPa');
  await noAccessibilityFault(page);
  await panel.getByRole('button', { name: 'Read it anew' }).click();
  await found()
    .getByText(/“Volt B” has the unit “kPa”, which is none of volts/u)
    .waitFor();
  await page.reload();
  await found()
    .getByText(/“Volt B” has the unit “kPa”, which is none of volts/u)
    .waitFor();
  await panel.getByRole('button', { name: 'Change name, note or channels' }).click();
  await panel.getByLabel('Unit of Volt B').fill('V');
  await panel.getByRole('button', { name: 'Read it anew' }).click();
  await found()
    .getByRole('button', { name: /^✕ Track 2 drops out/u })
    .first()
    .waitFor();
  await panel.getByRole('button', { name: 'Withdraw this recording' }).click();
  await panel.getByText('it counts for nothing on its job').waitFor();
  await page.getByRole('link', { name: 'To the job' }).click();
  await section(page, 'Sweeps');
  const kept = page.getByRole('list', { name: 'Recordings' });
  await kept.getByText('withdrawn: it counts for nothing').waitFor();
  await kept.getByRole('link', { name: 'units without brackets, settings above' }).click();
  await panel.getByRole('button', { name: 'Bring it back' }).click();
  await panel.getByRole('button', { name: 'Withdraw this recording' }).waitFor();
  expect(complaints).toEqual([]);
});
