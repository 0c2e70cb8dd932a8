import { writeFileSync } from 'node:fs';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sensorFileOf, type Sensor } from '@lettura/contract';
import type { Download } from 'playwright-core';
import { v7 } from 'uuid';
import { afterAll, expect, test } from 'vitest';
import { opened } from './application.ts';

const folder = await mkdtemp(join(tmpdir(), 'lettura-files-'));
afterAll(() => rm(folder, { recursive: true }));
const { app, page, complaints } = await opened();

const library = async (): Promise<Sensor[]> =>
  (await (await fetch(`${app.url}/api/sensors`)).json()) as Sensor[];
const open = (path: string) => page.goto(`${app.url}${path}`);
const importFile = async (name: string, content: string) => {
  const file = join(folder, name);
  writeFileSync(file, content);
  await open('/sensors');
  await page.getByRole('button', { name: 'Import a file…' }).waitFor();
  await page.locator('input[type=file]').setInputFiles(file);
};
const saved = async (download: Download): Promise<string> => readFile(await download.path(), 'utf8');

test('exported as JSON and imported again it is known; under new ids it is added', async () => {
  await open('/sensors');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^Export these/u }).click(),
  ]);
  const text = await saved(download);
  const count = (await library()).length;
  await importFile('again.json', text);
  await page.getByText(`0 sensors added, ${count} were here already.`).waitFor();
  const file = JSON.parse(text) as ReturnType<typeof sensorFileOf>;
  const fresh = { ...file, sensors: file.sensors.slice(0, 3).map((one) => ({ ...one, id: v7() })) };
  await importFile('fresh.json', JSON.stringify(fresh));
  await page.getByText('3 sensors added.').waitFor();
  await expect.poll(() => library()).toHaveLength(count + 3);
});

test('a curve leaves as CSV and comes back as points', async () => {
  await open('/sensors/01935a00-0000-7000-8000-000000000020');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Curve as CSV' }).click(),
  ]);
  const csv = join(folder, 'curve.csv');
  writeFileSync(csv, await saved(download));
  await open('/sensors/new');
  await page.getByRole('button', { name: 'Points from a CSV file…' }).waitFor();
  await page.locator('input[type=file]').setInputFiles(csv);
  await expect.poll(() => page.getByRole('textbox', { name: /^Points/u }).inputValue()).toContain('5.6\t1.6');
  writeFileSync(csv, 'kPa;V\n20;0,5\n60;1.95\nninety;2,9');
  await page.locator('input[type=file]').setInputFiles(csv);
  const faults = page.getByRole('list', { name: 'What is wrong in the file' });
  await faults.getByText('row 3, column 2: “1.95” has a decimal point, unlike row 2, column 2.').waitFor();
  await faults.getByText('row 4, column 1: “ninety” is not a number.').waitFor();
  // What stood in the field is still there.
  await expect.poll(() => page.getByRole('textbox', { name: /^Points/u }).inputValue()).toContain('5.6\t1.6');
});

const damaged = async (change: (sensors: Record<string, unknown>[]) => unknown): Promise<string> => {
  const file = sensorFileOf(await library());
  const sensors = file.sensors.map((one) => ({ ...one, id: v7() })) as Record<string, unknown>[];
  return JSON.stringify({ ...file, sensors: change(sensors) });
};
const profileOf = (sensor: Record<string, unknown>) => sensor.profile as Record<string, unknown>;
type Damage = [what: string, content: () => Promise<string> | string, said: RegExp];
const DAMAGE: Damage[] = [
  ['no JSON', () => 'sensors: none', /not a JSON file/u],
  ['some other JSON', () => '{"hello": 1}', /does not say "format": "lettura-sensors"/u],
  [
    'a later schema version',
    () => '{"format":"lettura-sensors","version":7,"sensors":[]}',
    /schema version 7; this program reads version 1/u,
  ],
  ['50 MB', () => `{"x":"${'x'.repeat(50 * 1024 * 1024)}"}`, /The file has 50 MB; 8 MB is the most/u],
  [
    'a table with one value twice',
    () =>
      damaged((all) => {
        const table = {
          form: 'table',
          ratiometric: false,
          points: [
            { volts: 1, value: 10 },
            { volts: 2, value: 30 },
            { volts: 3, value: 10 },
          ],
        };
        const first = { ...all[0], name: 'Twice', profile: { ...profileOf(all[0] ?? {}), transfer: table } };
        return [first];
      }),
    /sensor 1, “Twice”: profile, transfer, points.*stand in two points/su,
  ],
  [
    'an id used twice',
    () => damaged(([one]) => [one, one]),
    /sensor 2, “.*”: id.*was used already by sensor 1/su,
  ],
  [
    'HTML in a name',
    () => damaged(([one]) => [{ ...one, name: '<img src=x onerror=alert(1)>' }]),
    /sensor 1, “<img src=x onerror=alert\(1\)>”: name.*contains HTML/su,
  ],
  [
    'several faults at once',
    () =>
      damaged((all) => [
        { ...all[0], family: 'boiler' },
        all[1],
        { ...all[2], profile: { ...profileOf(all[2] ?? {}), lowest: 500 }, extra: true },
      ]),
    /3 things are wrong.*sensor 1.*family.*sensor 3/su,
  ],
];

test.each(DAMAGE)(
  'a damaged file is refused whole, with what is wrong and where: %s',
  async (_what, content, said) => {
    const before = (await library()).length;
    await importFile('damaged.json', await content());
    await expect.poll(() => page.getByRole('alert').textContent()).toMatch(said);
    await expect.poll(() => page.getByRole('alert').locator('img').count()).toBe(0); // shown as text, never as a tag
    await expect.poll(() => library()).toHaveLength(before);
  },
);

test('two thousand sensors are searched as one types', async () => {
  const [first] = sensorFileOf(await library()).sensors;
  const sensors = Array.from({ length: 2000 }, (_, i) => ({ ...first, id: v7(), name: `Store shelf ${i}` }));
  await importFile('many.json', JSON.stringify({ format: 'lettura-sensors', version: 1, sensors }));
  await page.getByText('2000 sensors added.').waitFor();
  const search = page.getByLabel('Search sensors');
  await search.pressSequentially('shelf 1987', { delay: 30 });
  await page.getByRole('link', { name: /Store shelf 1987/u }).waitFor();
  await expect
    .poll(() => page.getByRole('navigation', { name: 'Sensors' }).getByRole('link').count())
    .toBe(1);
});

test('a table of 10,000 points is drawn and edited without stalling', async () => {
  await open('/sensors/new');
  await page.getByLabel('Shape of the curve').click();
  await page.getByRole('option', { name: 'Through every point' }).click();
  const csv = join(folder, 'big.csv');
  const rows = Array.from(
    { length: 9_999 },
    (_, i) => `${(20 + i * 0.01).toFixed(2)},${(0.5 + i * 4e-4).toFixed(4)}`,
  );
  writeFileSync(csv, rows.join('\n'));
  await page.locator('input[type=file]').setInputFiles(csv);
  await page.getByRole('img', { name: /Signal against absolute pressure, 20 to 119\.98/u }).waitFor();
  const points = page.getByRole('textbox', { name: /^Points/u });
  await points.press('Control+End');
  await points.pressSequentially('\n119.99 4.4996', { delay: 30 });
  await page.getByRole('img', { name: /Signal against absolute pressure, 20 to 119\.99 kPa/u }).waitFor();
  await expect.poll(() => page.getByText('is not a pressure and a voltage').count()).toBe(0);
  await page.getByLabel('Name').fill('Ten thousand points');
  await page.getByLabel('Where the points come from').fill('calibration bench');
  await page.getByRole('button', { name: 'Save sensor' }).click();
  await page.getByRole('heading', { name: 'Ten thousand points' }).waitFor();
});

test('the browser had nothing to complain of', () => {
  expect(complaints).toEqual([]);
});
