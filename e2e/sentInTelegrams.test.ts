import { writeFileSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { captureTelegrams, machineById, practiceMachine, type CaseLetter } from '@lettura/bench';
import { afterAll, expect, test } from 'vitest';
import { simulatedVehicle } from '../server/onBoard/simulatedVehicle.ts';
import { opened } from './application.ts';
import {
  choose,
  enter,
  noAccessibilityFault,
  openJob,
  pad,
  quickEntry,
  reportWeighed,
  section,
  standing,
  weighed,
  readAgain,
} from './steps.ts';

/** Whatever the plots write, digits of frames among it. */
declare global {
  interface Window {
    written: Set<string>;
  }
}

const rail = (letter: CaseLetter) => practiceMachine(machineById('larch-rail'), letter, 11);
const standIn = await simulatedVehicle(rail('D'));
const folder = await mkdtemp(join(tmpdir(), 'lettura-telegrams-'));
const { app, page, complaints } = await opened({ liveData: `slcan://127.0.0.1:${standIn.port}` });
afterAll(async () => {
  await standIn.close();
  await rm(folder, { recursive: true });
});

await page.addInitScript(() => {
  window.written = new Set();
  const fillText = CanvasRenderingContext2D.prototype.fillText;
  CanvasRenderingContext2D.prototype.fillText = function (...given) {
    window.written.add(given[0]);
    return fillText.apply(this, given);
  };
});

const vehicle = () => page.getByRole('region', { name: 'From the vehicle' });
const engine = () => vehicle().getByRole('region', { name: 'Control unit 7E8' });
const found = () => page.getByRole('region', { name: 'What was found' });

/** A fast capture of the line, as a logger writes it. */
function capture(name: string, letter: CaseLetter): string {
  const { recording } = captureTelegrams(rail(letter), { engine: 'koeo', plug: 'connected' }, 5);
  return written(name, recording.seconds, recording.channels[0]!.values);
}

/** The same of a line at a steady frequency, in a third of a second. */
function pulses(name: string, hertz: number, upShare: number): string {
  const seconds = Float64Array.from({ length: 9000 }, (_, i) => i / 30_000);
  return written(
    name,
    seconds,
    seconds.map((t) => ((t * hertz) % 1 < upShare ? 4.9 : 0.1)),
  );
}

function written(name: string, seconds: Float64Array, volts: Float64Array): string {
  const rows = Array.from(seconds, (t, i) => `${(t * 1e6).toFixed(1)},${volts[i]!.toFixed(3)}`);
  const path = join(folder, `${name}.csv`);
  writeFileSync(path, `time (us),Signal (V)\n${rows.join('\n')}\n`);
  return path;
}

async function imported(path: string): Promise<void> {
  await section(page, 'Sweeps');
  await page.getByRole('link', { name: 'Import a recording' }).click();
  await page.getByRole('button', { name: 'Choose a file' }).waitFor();
  await page.locator('input[type=file]').setInputFiles(path);
  await page.getByRole('button', { name: 'Read and keep on the job' }).click();
  await found().waitFor();
}

const toJob = () => page.getByRole('link', { name: 'To the job' }).click();

test('live data shows a constant, the signal stands at nothing: the code and the constant go into the job', async () => {
  await openJob(page, app.url, {
    machine: 'Larch 1.6 crew van 9',
    complaint: 'cranks long, no power',
    sensor: 'Tolland FR-180 fuel rail pressure',
  });
  await section(page, 'Job');
  await vehicle().getByRole('button', { name: 'Read codes from the vehicle' }).click();
  await engine().getByText('Stored P0190').waitFor();
  await vehicle().getByRole('button', { name: 'Take into the job' }).click();
  await section(page, 'Reading');
  await choose(page, 'Idle');
  await pad(page, 'Live data').click();
  const meter = page.getByRole('region', { name: 'Live meter' });
  await meter.getByText('Live data: Rail pressure').waitFor();
  await meter.getByRole('button', { name: 'Take this reading' }).click();
  await choose(page, 'Key on, engine off');
  for (const text of ['ref plug 4.99', 'ret plug 12mV', 'sig plug 0.02']) await enter(page, text);
});

test('by itself the sensor sends telegrams: the library names the part that does, and the job is put on it', async () => {
  await imported(capture('fed past its plug', 'B'));
  await found()
    .getByText(/Telegrams arrive on “Signal”/u)
    .waitFor();
  await toJob();
  await standing(page)
    .getByText(/Telegrams arrive, and the part chosen.*Tolland FR-180T/u)
    .waitFor();
  await section(page, 'Job');
  await page.getByText('Wrong machine or sensor chosen?').click();
  await page.getByLabel('Sensor under test').fill('Tolland FR-180T');
  await page.getByRole('option', { name: /FR-180T/u }).click();
  await choose(page, 'Change it');
  await page
    .getByRole('list', { name: 'What this job was said to be of before' })
    .getByText('the sensor was said to be Tolland FR-180 fuel rail pressure')
    .waitFor();
  await section(page, 'Sweeps');
  await page
    .getByRole('list', { name: 'Recordings' })
    .getByRole('link', { name: 'fed past its plug' })
    .click();
  await found().getByText('The last one says 193: 0.0 kPa gauge').waitFor();
  // Close enough, each frame stands over the line with its nibbles: 193 is 0C1, and what it is not follows.
  const plot = page.getByRole('group', { name: /^Plot/u });
  await expect
    .poll(async () => {
      // The whole of it first: how soon the frames are read nobody knows.
      for (const key of ['0', '+', '+', '+', '+', '+']) await plot.press(key);
      return page.evaluate(() => [...window.written].filter((text) => /^0C1[0-9A-F]{3}/u.test(text)).length);
    })
    .toBeGreaterThan(0);
  await toJob();
});

test('on the loom the line is held: a wire touches ground, and that is proven', async () => {
  await imported(capture('on the loom', 'D'));
  await found()
    .getByText(/stands at \d+ mV: nothing toggles/u)
    .waitFor();
  await toJob();
  await choose(page, 'Plug off');
  await enter(page, 'sig plug 0.02');
  await section(page, 'Isolate');
  await choose(page, 'Wires');
  await page
    .getByRole('group', { name: 'Wire', exact: true })
    .getByRole('button', { name: 'Signal' })
    .click();
  const toGround = page.getByRole('textbox', { name: 'Ohms, plug to battery negative' });
  await toGround.fill('0.6');
  await toGround.press('Enter');
  await weighed(page);
  await section(page, 'Reading');
  await expect.poll(() => standing(page).textContent()).toContain('Standing: proven');
});

const proof = () => page.getByRole('region', { name: 'The same tests again' }).getByRole('status');

const again = (where: string | RegExp, text: string) => readAgain(page, where, text);

test('mended, the line toggles again, codes stay away, every self-test finishes: proven', async () => {
  await section(page, 'Verdict');
  await page.getByRole('button', { name: 'Record verdict: Signal wire touches ground' }).click();
  await page
    .getByRole('list', { name: 'Recorded verdicts' })
    .getByText('Signal wire touches ground')
    .waitFor();
  await section(page, 'Repair');
  await page.getByRole('combobox', { name: 'What was done' }).click();
  await page.getByRole('option', { name: /^Wire/u }).click();
  await choose(page, 'Put it on record');
  await page.getByRole('list', { name: 'Before and after' }).waitFor();
  standIn.mend();
  await vehicle().getByRole('button', { name: 'Read codes from the vehicle' }).click();
  await vehicle().getByRole('button', { name: 'Clear codes …' }).click();
  await vehicle().getByRole('checkbox').check();
  await vehicle().getByRole('button', { name: 'Clear them now' }).click();
  await vehicle().getByText('Cleared by 7E8, 7E9.').waitFor();
  await engine().getByText('Not finished: misfire').waitFor();
  await choose(page, 'Put on record');
  standIn.drive();
  await vehicle().getByRole('button', { name: 'Ask again' }).click();
  await engine().getByText('Every self-test has finished.').waitFor();
  await choose(page, 'Put on record');
  await imported(capture('after the repair', 'B'));
  await found()
    .getByText(/Telegrams arrive on “Signal”.*None was lost/u)
    .waitFor();
  await toJob();
  await section(page, 'Repair');
  await again('Signal at the sensor plug, key on, engine off', '2.84');
  await again('Signal at the sensor plug, key on, engine off, plug off', '4.97');
  await again('Reference at the sensor plug, key on, engine off', '4.99');
  await again('Return at the sensor plug, key on, engine off', '11mV');
  await again('Live data, idle', '33.1 MPa');
  await expect.poll(() => proof().textContent()).toContain('Repair proven');
  await noAccessibilityFault(page, { within: '[role=tabpanel]' });
  await page.getByRole('link', { name: 'Report' }).click();
  await reportWeighed(page);
  const told = (await page.getByRole('main').textContent()) ?? '';
  for (const text of [
    'Signal wire touches ground',
    'the sensor was said to be Tolland FR-180 fuel rail pressure',
    'No code has come back',
    'Every self-test of the control unit has finished.',
    'Repair proven',
  ])
    expect(told).toContain(text);
});

test('a sensor that sends its value as a duty is described by its points; a meter and a capture say what it says', async () => {
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Sensors' }).click();
  await page.getByRole('link', { name: 'New sensor from points' }).click();
  await page.getByLabel('Name').fill('Pump 4, duty');
  await page.getByLabel('Where the points come from').fill('maker’s sheet');
  await page.getByRole('combobox', { name: 'Shape of the curve' }).click();
  await page.getByRole('option', { name: 'Sent as a duty (pulse width)' }).click();
  const points = page.getByRole('textbox', { name: /^Points: .* and % of the time up/u });
  await points.fill('20 0\n100 90');
  await page.getByText('0 is no duty').waitFor();
  await points.fill('20 10\n100 90');
  await page.getByText(/^Sent as a duty: 10 % is 20\.0 kPa/u).waitFor();
  await noAccessibilityFault(page);
  await page.getByRole('button', { name: 'Save sensor' }).click();
  await page.getByText('goes to and fro, and its volts tell no value').waitFor();
  await openJob(page, app.url, {
    machine: 'Brill P4 pump engine',
    complaint: 'reads nothing',
    sensor: 'Pump 4, duty',
  });
  for (const text of ['ref plug 4.99', 'ret plug 12mV', 'sig plug 2.5']) await enter(page, text);
  await pad(page, 'Signal at the sensor plug: 2.50 V').waitFor();
  await enter(page, 'sig plug 50');
  await page.getByText('50 has no unit, and it is hardly a voltage').waitFor();
  await quickEntry(page).fill('sig plug 50 %');
  await page.getByText(/60\.0 kPa absolute.*k = 2/u).waitFor();
  await quickEntry(page).press('Enter');
  await pad(page, 'Signal at the sensor plug: 50.0 %').waitFor();
  await enter(page, 'scan 60 kPa');
  await section(page, 'Compare');
  await page
    .getByText(/Sensor.*60\.0 kPa/u)
    .first()
    .waitFor();
  await enter(page, 'baro 101.3');
  await section(page, 'Pump');
  // 20 kPa is 10 %, 100 kPa is 90 %: 16.9 kPa below ambient it is 74.4.
  await page.getByLabel('Signal at 5 inHg', { exact: true }).fill('74.4');
  await page.getByLabel('Signal at 5 inHg', { exact: true }).press('Enter');
  const step = page.getByRole('table', { name: 'Pump sweep' }).getByRole('row', { name: /76\.4 % 74\.4/u });
  await step.getByText('0.0 kPa above, En 0.00').last().waitFor();
  await noAccessibilityFault(page, { within: '[role=tabpanel]' });
  await section(page, 'Reading');
  await imported(pulses('duty', 120, 0.5));
  await found()
    .getByText(/“Signal” toggles at a steady 120\.0 Hz.*up for 50\.0 % of the time/u)
    .waitFor();
  await found().getByText('By the duty of this sensor in the library that is 60.0 kPa abs.').waitFor();
  await toJob();
  await weighed(page);
  await page.getByRole('link', { name: 'Report' }).click();
  await reportWeighed(page);
  await expect
    .poll(() => page.getByRole('main').textContent())
    .toContain('By the duty of this sensor in the library that is 60.0 kPa abs.');
  expect(complaints).toEqual([]);
});
