import { truncateSync, writeFileSync } from 'node:fs';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { RecordingInfo } from '@lettura/contract';
import { afterAll, expect, test } from 'vitest';
import { opened } from './application.ts';
import { noAccessibilityFault, openJob, practise, section } from './steps.ts';

const folder = await mkdtemp(join(tmpdir(), 'lettura-sweeps-'));
afterAll(() => rm(folder, { recursive: true }));
const { app, page, complaints } = await opened();

const fileOf = (name: string, content: string | Uint8Array): string => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};
const choose = async (path: string) => {
  await page.getByRole('button', { name: 'Choose a file' }).waitFor();
  await page.locator('input[type=file]').setInputFiles(path);
};
const found = () => page.getByRole('region', { name: 'What was found' });
/** Twelve seconds of a half-ratio pedal at 250 samples a second, with decimal commas; track 2 lifts off round 41 %. */
function pedalSweep(lifts = true): string {
  const rows = Array.from({ length: 3000 }, (_, i) => {
    const travel = Math.min(1, Math.max(0, Math.min((i - 200) / 1200, (2800 - i) / 1200)));
    const first = 1 + 3.4 * travel;
    const second = lifts && travel > 0.4 && travel < 0.42 ? 0.01 : first / 2;
    return [4 * i, first.toFixed(3), second.toFixed(3)].join(';').replaceAll('.', ',');
  });
  return `Zeit [ms];Spur 1 [V];=Spur 2 [V]\n${rows.join('\n')}\n`;
}

test('a dead spot in one track at one angle: found from one sweep, and the report names track and angle', async () => {
  await openJob(page, app.url, {
    machine: 'Larch 1.6 crew van 7',
    complaint: 'hesitates at part pedal',
    sensor: 'Larch AP-2 pedal, half-ratio pair',
  });
  await section(page, 'Sweeps');
  await page.getByText('A meter passes a dead spot by').waitFor();
  await page.getByRole('link', { name: 'Import a recording' }).click();
  await choose(fileOf('pedal.csv', pedalSweep()));
  const taken = (column: RegExp) => page.getByRole('combobox', { name: column });
  await taken(/What Zeit is/u)
    .getByText('Time in milliseconds')
    .waitFor();
  await taken(/What =Spur 2 is/u)
    .getByText('Second signal (track 2)')
    .waitFor();
  await noAccessibilityFault(page);
  await page.getByRole('button', { name: 'Read and keep on the job' }).click();
  await found()
    .getByRole('button', { name: /^✕ Track 2 drops out at 4[01]\.\d %: 9\d ms/u })
    .first()
    .waitFor();
  // A meter at rest and at full travel passes both tracks: 1.00 and 0.50 V, 4.40 and 2.20 V.
  await found().getByText('from 0.0 % to 100.0 %').waitFor();
  await page.getByRole('link', { name: 'To the job' }).click();
  await page.getByRole('link', { name: 'Report' }).click();
  await page
    .getByText(/Track 2 drops out at 4[01]\.\d %/u)
    .first()
    .waitFor();
});

test('a finding brings its place into view, and the keys move and zoom', async () => {
  await page.getByRole('link', { name: 'Back to the sheet' }).click();
  await section(page, 'Sweeps');
  await page.getByRole('list', { name: 'Recordings' }).getByRole('link', { name: 'pedal' }).click();
  await page.getByText('in view 0.00 to 12.00 s').waitFor();
  await page.getByRole('img', { name: /Spur 2.*2 faults in view/u }).waitFor();
  await found()
    .getByRole('button', { name: /^✕ Track 2/u })
    .last()
    .click();
  await page.getByText(/in view [89]\.\d\d to [9]\.\d\d s/u).waitFor();
  await page.getByRole('img', { name: /Spur 2.*1 faults in view/u }).waitFor();
  const plot = page.getByRole('group', { name: /^Plot/u });
  await plot.focus();
  await plot.press('0');
  await page.getByText('in view 0.00 to 12.00 s').waitFor();
  await plot.press('+');
  await page.getByText('in view 3.60 to 8.40 s').waitFor();
  await plot.press('ArrowRight');
  await page.getByText('in view 5.52 to 10.32 s').waitFor();
  await noAccessibilityFault(page);
});

test('track against track, the plot as a picture, and another recording beside it', async () => {
  await page.getByRole('img', { name: /Spur 2 \(V\) against Spur 1 \(V\), with the band/u }).waitFor();
  const [picture] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the plot as a picture' }).click(),
  ]);
  expect(picture.suggestedFilename()).toBe('pedal.png');
  expect((await readFile(await picture.path())).subarray(1, 4).toString()).toBe('PNG');
  // The repaired pedal, read again.
  await page.getByRole('link', { name: 'To the job' }).click();
  await section(page, 'Sweeps');
  await page.getByRole('link', { name: 'Import a recording' }).click();
  await choose(fileOf('repaired.csv', pedalSweep(false)));
  await page.getByRole('button', { name: 'Read and keep on the job' }).click();
  await found().getByText('No fault in what was looked at').waitFor();
  await page.getByRole('combobox', { name: 'Beside it, drawn broad' }).click();
  await page.getByRole('option', { name: /^pedal,/u }).click();
  await page.getByRole('img', { name: /^Spur 1 over time.*another recording beside it$/u }).waitFor();
  await page.getByRole('link', { name: 'To the job' }).click();
  await section(page, 'Sweeps');
  await page
    .getByRole('list', { name: 'Recordings' })
    .getByRole('link', { name: 'pedal', exact: true })
    .click();
  await page.getByText('in view 0.00 to 12.00 s').waitFor();
});

test('two places are read off, a stretch goes its own way, and one recording is drawn less the other', async () => {
  const plot = page.getByRole('img', { name: /^Spur 1 over time/u });
  const box = (await plot.boundingBox())!;
  // The scale takes 52 px on the left, and 10 are free on the right.
  const clickAt = (seconds: number) =>
    plot.click({ position: { x: 52 + (seconds / 11.995) * (box.width - 62), y: 40 } });
  await clickAt(2);
  const table = page.getByRole('table', { name: 'Read off' });
  await table.waitFor();
  await clickAt(5);
  const at = (name: string) => page.getByRole('textbox', { name: `${name} at, seconds` });
  await expect.poll(async () => Number(await at('B').inputValue())).toBeCloseTo(5, 1);
  await at('A').fill('900');
  await page.getByText('From 0 to 12.00 s').waitFor();
  await at('A').fill('3');
  await at('A').press('Enter');
  await expect.poll(() => at('A').inputValue()).toBe('3.0000');
  await expect.poll(() => at('A').evaluate((field) => field === document.activeElement)).toBe(true);
  await at('B').fill('4');
  await at('B').press('Enter');
  await page.getByText('1.0000 s apart').waitFor();
  const cells = async () =>
    (
      await table
        .getByRole('row', { name: /^Spur 1/u })
        .getByRole('cell')
        .allTextContents()
    ).map(Number);
  // Along the ramp the difference is what lies between, and the mean is in its middle.
  await expect
    .poll(async () => {
      const [a = NaN, b = NaN, less = NaN, , mean = NaN] = await cells();
      return Math.max(Math.abs(less - (b - a)), Math.abs(mean - (a + b) / 2));
    })
    .toBeLessThan(0.02);
  // A difference is of what is shown, to the last digit.
  const [a = NaN, b = NaN, less = NaN] = await cells();
  expect(less).toBeCloseTo(b - a, 6);

  // Ctrl and the wheel zoom where the hand is; the wheel by itself leaves the view alone.
  await page.mouse.move(box.x + box.width / 2, box.y + 40);
  await page.mouse.wheel(0, 10);
  await page.getByText('in view 0.00 to 12.00 s').waitFor();
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -600);
  await page.keyboard.up('Control');
  await expect.poll(() => page.getByText('in view 0.00 to 12.00 s').count()).toBe(0);
  // The other half comes into view where it is pressed in the whole.
  const whole = page.getByRole('img', { name: /^The whole recording/u });
  const { width } = (await whole.boundingBox())!;
  await whole.click({ position: { x: width - 14, y: 20 } });
  await page.getByText(/in view \d\.\d\d to 12\.00 s/u).waitFor();
  await noAccessibilityFault(page);

  const [part] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Stretch in view as CSV' }).click(),
  ]);
  const rows = (await readFile(await part.path(), 'utf8')).trim().split('\n');
  expect(rows.length).toBeLessThan(1300);
  expect(rows.length).toBeGreaterThan(500);
  await page.getByRole('textbox', { name: 'Its name' }).fill('second half');
  await page.getByRole('button', { name: 'Keep this stretch' }).click();
  await page.getByRole('heading', { name: 'second half' }).waitFor();
  await page.getByText(/Cut from “pedal”/u).waitFor();
  // What drops out there is found in it as well.
  await found()
    .getByRole('button', { name: /^✕ Track 2/u })
    .first()
    .waitFor();
  // A place is marked afterwards, and the recording gets another name: both stand wherever it is read.
  await page.getByRole('button', { name: 'Closer' }).click();
  await page.getByRole('img', { name: /^Spur 1 over time/u }).click({ position: { x: 200, y: 40 } });
  const inView = await page.getByText(/in view \d/u).textContent();
  await page.getByRole('textbox', { name: 'What is there, in a word or two' }).fill('here it lifts');
  await page.getByRole('button', { name: 'Mark A' }).click();
  await page
    .getByRole('region', { name: 'Marks' })
    .getByRole('button', { name: /^1\. \d\.\d s: here it lifts$/u })
    .waitFor();
  // Where one looked and pointed, one still looks and points.
  await expect.poll(() => page.getByText(/in view \d/u).textContent()).toBe(inView);
  await expect.poll(() => page.getByRole('button', { name: 'Mark A' }).isVisible()).toBe(true);
  await page.getByRole('button', { name: 'Change name, note or channels' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('lifts on the way back');
  await page.getByRole('button', { name: 'Read it anew' }).click();
  await page.getByRole('heading', { name: 'lifts on the way back' }).waitFor();
  await page.getByText('here it lifts').first().waitFor();
  await page.goBack();
  await page.getByText('in view 0.00 to 12.00 s').waitFor();

  await page.getByRole('combobox', { name: 'Beside it, drawn broad' }).click();
  await page.getByRole('option', { name: /^repaired,/u }).click();
  await page.getByRole('button', { name: 'This less the other' }).click();
  await page.getByRole('img', { name: 'Spur 2 over time, less the other recording' }).waitFor();
  await page.getByRole('textbox', { name: 'It begins later by, s' }).fill('soon');
  await page.getByText('A number of seconds, such as').waitFor();
  await page.getByRole('combobox', { name: 'Beside it, drawn broad' }).click();
  await page.getByRole('option', { name: 'Nothing' }).click();
});

test('exported it is read back exactly, its description beside it, and a name is no formula', async () => {
  const downloads: Promise<string>[] = [];
  page.on('download', (download) => downloads.push(download.path().then((path) => readFile(path, 'utf8'))));
  await page.getByRole('button', { name: 'Export CSV with its description' }).click();
  await expect.poll(() => downloads.length).toBe(2);
  const [csv, description] = await Promise.all(downloads);
  expect(csv!.split('\r\n')[0]).toBe("Time [s],Spur 1 [V],'=Spur 2 [V]");
  expect(csv!.split('\r\n')[1001]).toBe('4,3.267,1.633');
  expect(JSON.parse(description!)).toMatchObject({
    url: 'pedal.csv',
    tableSchema: { columns: [{ name: 'time' }, {}, {}] },
  });
  const [json] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export JSON' }).click(),
  ]);
  const path = await json.path();
  expect(json.suggestedFilename()).toBe('pedal.json');
  await page.getByRole('link', { name: 'To the job' }).click();
  await section(page, 'Sweeps');
  await page.getByRole('link', { name: 'Import a recording' }).click();
  await choose(path);
  await page.getByText('A recording of this product').waitFor();
  await page.getByRole('button', { name: 'Read and keep on the job' }).click();
  await page.getByRole('heading', { name: 'pedal' }).waitFor();
  await found()
    .getByRole('button', { name: /^✕ Track 2 drops out at 4[01]\.\d %: 9\d ms/u })
    .first()
    .waitFor();
});

test('files that cannot be read are refused with what to do', async () => {
  await page.getByRole('link', { name: 'To the job' }).click();
  await section(page, 'Sweeps');
  await page.getByRole('link', { name: 'Import a recording' }).click();
  const refused = async (path: string, message: string) => {
    await choose(path);
    await page.getByRole('alert').filter({ hasText: message }).waitFor();
  };
  await refused(
    fileOf(
      'junk.csv',
      Uint8Array.from({ length: 5000 }, (_, i) => (i * 37) % 256),
    ),
    'This file is not text',
  );
  await refused(
    fileOf('wide.csv', `${Array.from({ length: 100_000 }, () => '1').join(',')}\n`),
    'Row 1 has 100,000 columns',
  );
  await refused(fileOf('letter.txt', 'Dear reader,\nthis is no recording.\n'), 'No row of numbers was found');
  await refused(fileOf('empty.csv', ''), 'The file has no lines');
  const sparse = fileOf('huge.csv', 't;A\n0;1\n');
  truncateSync(sparse, 2 * 1024 ** 3);
  await refused(sparse, 'The file has 2.0 GB; up to 512 MB can be read');
});

test('a file without time asks for the rate, and its odd cells become gaps', async () => {
  const rows = Array.from({ length: 200 }, (_, i) => (i === 50 ? 'oops' : String(1 + i / 100)));
  await choose(fileOf('untimed.csv', `Track 1 [V]\n${rows.join('\n')}\n`));
  const rate = page.getByLabel('Samples per second');
  await rate.fill('fast');
  await expect
    .poll(() => page.getByRole('button', { name: 'Read and keep on the job' }).isDisabled())
    .toBe(true);
  await rate.fill('50');
  await page.getByRole('button', { name: 'Read and keep on the job' }).click();
  await page.getByText('200 samples in 4.0 s').waitFor();
  await found().getByText('No fault in what was looked at').waitFor();
  await found().getByText('Cells that are no numbers, now gaps: 1 (row 52, column 1: “oops”).').waitFor();
});

test('a CAN log gives live data as channels', async () => {
  await page.getByRole('link', { name: 'To the job' }).click();
  await section(page, 'Sweeps');
  await page.getByRole('link', { name: 'Import a recording' }).click();
  const frames = Array.from(
    { length: 40 },
    (_, i) => `(${(100 + i / 10).toFixed(6)}) can0 7E8#034149${(5 * i).toString(16).padStart(2, '0')}`,
  );
  await choose(fileOf('drive.log', `${frames.join('\n')}\n`));
  await page.getByText('its live data becomes channels').waitFor();
  await page.getByRole('button', { name: 'Read and keep on the job' }).click();
  await page.getByRole('img', { name: /^Pedal position D over time, in %/u }).waitFor();
});

test('a pedal held at one angle after the other beside a gauge is calibrated, each figure with its sign and place', async () => {
  await page.getByRole('link', { name: 'To the job' }).click();
  await section(page, 'Sweeps');
  await page.getByRole('link', { name: 'Import a recording' }).click();
  // 10 mV low on the way up and 10 mV high on the way down are 0.294 % of the travel either way.
  const rows = [0, 25, 50, 75, 100, 75, 50, 25, 0].flatMap((percent, step) =>
    Array.from({ length: 150 }, (_, i) => {
      const off = percent === 0 || percent === 100 ? 0 : step < 5 ? -0.01 : 0.01;
      const volts = 1 + 0.034 * percent + off;
      return [(3 * step + i / 50).toFixed(2), percent, volts.toFixed(4), (volts / 2).toFixed(4)].join(',');
    }),
  );
  await choose(fileOf('steps.csv', `Time [s],Angle [%],Track 1 [V],Track 2 [V]\n${rows.join('\n')}\n`));
  await page.getByRole('combobox', { name: /What Angle is/u }).click();
  await page.getByRole('option', { name: 'Stimulus (gauge, angle)' }).click();
  await page.getByRole('button', { name: 'Read and keep on the job' }).click();
  const errors = page.getByRole('region', { name: 'Errors at held levels' });
  await errors.getByRole('row', { name: /50\.0 %\s*−0\.29\s*\+0\.29\s*0\.00/u }).waitFor();
  await errors
    .getByText(/Inaccuracy: \+0\.29 % at \d+\.0 %, −0\.29 % at \d+\.0 %; the sensor is allowed/u)
    .waitFor();
  await errors.getByText(/Hysteresis .*: −0\.59 % at \d+\.0 %/u).waitFor();
  // At fifty samples a second nothing is known finer than 20 ms.
  await page
    .getByRole('region', { name: 'Steps answered' })
    .getByRole('row', { name: /1\.00 → 1\.84 < 20 < 20 < 20 0\.0$/u })
    .waitFor();
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    errors.getByRole('button', { name: 'Levels as CSV' }).click(),
  ]);
  const lines = (await readFile(await csv.path(), 'utf8')).trim().split('\r\n');
  expect(lines).toHaveLength(10);
  expect(lines[3]).toMatch(/^up,50\.0000,49\.70\d\d,-0\.29\d\d,-0\.29\d\d,6\.\d{3},8\.980$/u);
  await noAccessibilityFault(page);
});

test('the simulated sensor is swept, and its dead spot told with the place', async () => {
  await practise(page, app.url, /pool car, throttle/u, 'B');
  await section(page, 'Sweeps');
  await page.getByRole('button', { name: 'Sweep the simulated sensor' }).click();
  await found()
    .getByRole('button', { name: /^✕ The signal drops out at 7\d\.\d %/u })
    .first()
    .waitFor();
  await page.getByRole('link', { name: 'Lettura' }).click();
  await page.getByRole('link', { name: 'Sweeps' }).click();
  await page
    .getByRole('list', { name: 'Recordings' })
    .getByRole('link', { name: 'Slow travel, up and down' })
    .waitFor();
  await noAccessibilityFault(page);
  // On the report of its job each channel is drawn.
  const kept = (await (await fetch(`${app.url}/api/recordings`)).json()) as RecordingInfo[];
  const { jobId, channels } = kept.find(({ name }) => name === 'Slow travel, up and down')!;
  await page.goto(`${app.url}/jobs/${jobId}/report`);
  const widths = () =>
    page
      .getByRole('img', { name: /^Slow travel, up and down, channel \d over/u })
      .evaluateAll((images) => images.map((image) => (image as HTMLImageElement).naturalWidth > 0));
  await expect.poll(widths).toEqual(channels.map(() => true));
  expect(complaints).toEqual([]);
});
