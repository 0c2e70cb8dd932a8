import { readFile } from 'node:fs/promises';
import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { enter, noAccessibilityFault, openJob, pad, practise, section, standing } from './steps.ts';

const { app, page, complaints } = await opened();

const part = (name: string) =>
  page
    .getByRole('group', { name: 'Part of the isolation' })
    .getByRole('button', { name, exact: true })
    .click();
async function chooseTest(name: string): Promise<void> {
  await page.getByRole('combobox', { name: 'Test', exact: true }).click();
  await page.getByRole('option', { name, exact: true }).click();
  await page.getByRole('listbox').waitFor({ state: 'detached' });
}
const rows = (test_: string) => page.getByRole('region', { name: test_ }).getByRole('row');
const row = (test_: string, reads: string) => rows(test_).filter({ hasText: reads });

test('before anything is unplugged each answer says what it would mean', async () => {
  await openJob(page, app.url, {
    machine: 'Tolland 95 tractor',
    complaint: 'no boost',
    sensor: 'Tern 2-bar manifold pressure',
    ambient: { source: 'Barometer here', pressure: '101.0' },
  });
  await section(page, 'Isolate');
  await part('Tests');
  // A pulled-up input: 5 V proves wire and input, and stands first.
  await expect
    .poll(() => rows('Unplug the sensor').nth(1).textContent())
    .toMatch(/^about (4\.9|5\.0)|4\.9 to 5\.0/u);
  await row('Unplug the sensor', '✓ As it should').waitFor();
  await row('Unplug the sensor', 'Wire open (signal wire)').waitFor();
});

test('a bridge to return that leaves the signal at 5 V means an open wire', async () => {
  await chooseTest('Bridge signal to return');
  const five = row('Bridge signal to return', 'ire open (signal wire; return wire)');
  await expect.poll(() => five.textContent()).toMatch(/4\.9 V|5\.0 V/u);
  await page.getByText('reference bridged to return shorts the supply').waitFor();
});

test('a substituted voltage says what live data must show, in the unit of the reader', async () => {
  await chooseTest('Substitute 1.6 V');
  // 0.5 to 4.5 V over 20 to 200 kPa: 1.6 V is 69.5 kPa, a little less over the unit’s own ground.
  await row('Substitute 1.6 V', 'about 69').waitFor();
  await page.getByLabel('Absolute in').selectOption('psi');
  await row('Substitute 1.6 V', 'about 10.0').waitFor();
  await page.getByLabel('Absolute in').selectOption('kPa');
});

test('the tests can be chosen with the keyboard', async () => {
  const list = page.getByRole('combobox', { name: 'Test', exact: true });
  await list.focus();
  await page.keyboard.press('Enter');
  await page.getByRole('option', { name: 'Substitute 1.6 V' }).waitFor();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await row('Jump past the signal wire', '✓ As it should').waitFor();
});

test('a test done on the simulated machine marks its answer, is drawn on the lanes and goes on record', async () => {
  await practise(page, app.url, /pool car, air conditioning/u, 'A'); // its signal wire is open
  await section(page, 'Isolate');
  await part('Tests');
  await chooseTest('Substitute 1.6 V');
  await page.getByRole('button', { name: 'Do this test' }).click();
  await page.getByRole('img', { name: 'Clipped on: 1.6 V fed into the signal at the sensor plug' }).waitFor();
  await page.getByRole('button', { name: 'Take this reading' }).click();
  await page.getByText('Its meaning is marked below').waitFor();
  const marked = page.getByRole('row', { name: /▸/u });
  await expect.poll(() => marked.textContent()).toContain('ire open (signal wire)');
  await expect.poll(() => marked.textContent()).not.toContain('As it should');
  await standing(page)
    .getByText(/^Signal wire/u)
    .first()
    .waitFor();
  await page.getByRole('button', { name: /^1\.6 V fed into the signal.*take it off/u }).click();
  await page.getByRole('img', { name: /^Clipped on/u }).waitFor({ state: 'detached' });
});

test('the supply is read in order; a raised return says what it does to the reading', async () => {
  await openJob(page, app.url, {
    machine: 'Brill P4 pump engine',
    complaint: 'runs rich',
    sensor: 'Tern 2-bar manifold pressure',
    ambient: { source: 'Barometer here', pressure: '101.0' },
  });
  await section(page, 'Isolate');
  await page.getByRole('button', { name: 'Read Reference at the sensor plug, loaded' }).click();
  await page.keyboard.type('4.98');
  await page.keyboard.press('Enter');
  await page.getByRole('row', { name: /Reference at the sensor plug, loaded.*4\.98 V.*✓ good/u }).waitFor();
  await enter(page, 'ret plug 84mV');
  // 84 mV at about 7 mA are 12 Ω, and lift what the unit makes of the signal by more than a kilopascal.
  await page
    .getByText(/12\.\d Ω in the return at 6\.\d mA shifts this reading by \d\.\d kPa upwards/u)
    .waitFor();
});

test('drops and ohms along a wire find the stretch, refused text stays, and the lane tells what it knows', async () => {
  await part('Wires');
  await page
    .getByRole('group', { name: 'Wire', exact: true })
    .getByRole('button', { name: 'Return' })
    .click();
  const drop = page.getByRole('textbox', { name: 'Drop, control unit to inline connector' });
  await drop.fill('eighty');
  await drop.press('Enter');
  await page.getByText('“eighty” is not a number.').or(page.getByText('"eighty" is not a number.')).waitFor();
  await expect.poll(() => drop.inputValue()).toBe('eighty');
  await drop.fill('81mV');
  await drop.press('Enter');
  await page.getByText('✕ lost on the way').waitFor();
  await page.getByText('Look between control unit and inline connector').waitFor();
  const ohms = page.getByRole('textbox', { name: 'Ohms, inline connector to sensor plug' });
  await ohms.fill('0.4');
  await ohms.press('Enter');
  await page.getByText('A thread of copper does too').waitFor();
  // A return is at ground as it should be: nothing to find there. A supply is not.
  const toGround = page.getByRole('textbox', { name: 'Ohms, plug to battery negative' });
  await expect.poll(() => toGround.count()).toBe(0);
  const wires = page.getByRole('group', { name: 'Wire', exact: true });
  await wires.getByRole('button', { name: 'Reference' }).click();
  await toGround.fill('2.2k');
  await toGround.press('Enter');
  await page.getByText('nothing holds it to ground').waitFor();
  await page
    .getByRole('button', { name: /^Return between control unit and inline connector: faulty/u })
    .click();
  const known = page.getByRole('dialog', { name: 'Return between control unit and inline connector' });
  await known.getByText('81 mV are lost over it under load').waitFor();
  await known.getByText('Breaks hide where the loom bends').waitFor();
  await page.keyboard.press('Escape');
});

test('three views of one value: the first pair that disagrees is named', async () => {
  await part('Three views');
  await enter(page, 'sig plug 2.30');
  await enter(page, 'sig ecu 2.30');
  await enter(page, 'scan 62 kPa');
  await page.getByText('Control unit and live data disagree').waitFor();
  await enter(page, 'sig ecu 0.02');
  await page.getByText('Plug and control unit disagree: the signal wire between them').waitFor();
});

test('a track is measured at the sensor’s own pins, and ohms on a live circuit are not counted', async () => {
  await practise(page, app.url, /crew van, pedal/u, 'A');
  await section(page, 'Isolate');
  await part('Sensor’s own pins');
  const track = page.getByRole('textbox', { name: 'Ohms, second reference to second return' });
  await track.fill('OL');
  await track.press('Enter');
  await page.getByText('OL: ▲ more than usual').waitFor();
  // Fed past its plug the first track says what it should: what is wrong is not in it.
  const alone = page.getByRole('region', { name: 'Powered by itself' });
  const [, low = '', high = ''] =
    /should read ([\d.]+) to ([\d.]+) V/u.exec((await alone.textContent()) ?? '') ?? [];
  await alone.getByRole('textbox', { name: 'Signal pin, V' }).fill('0.02');
  await alone.getByRole('button', { name: 'Save Signal pin, V' }).click();
  await alone.getByText(/^Read: 20 mV\. Not as it should/u).waitFor();
  await alone
    .getByRole('textbox', { name: 'Signal pin, V' })
    .fill(((Number(low) + Number(high)) / 2).toFixed(2));
  await alone.getByRole('button', { name: 'Save Signal pin, V' }).click();
  await alone.getByText(/As it should\. If it is off with the plug on/u).waitFor();
  await enter(page, 'ref2 unit plug 4.8 ohm');
  await page.getByText('Ohms with the key on mean nothing').waitFor();
});

test('a digital sensor is recognised by its behaviour: an average that stays, and a second code from a known voltage', async () => {
  await practise(page, app.url, /crew van, fuel rail/u, 'B');
  const take = page.getByRole('button', { name: 'Take this reading' });
  for (const engine of ['Key on, engine off', 'Idle']) {
    await page.getByRole('button', { name: engine, exact: true }).click();
    await pad(page, 'Signal at the sensor plug').click();
    await take.click();
    await pad(page, 'Live data:').click();
    await take.click();
  }
  await standing(page).getByText('the line may be digital').waitFor();
  await page.getByRole('button', { name: 'Key on, engine off', exact: true }).click();
  await section(page, 'Isolate');
  await part('Tests');
  await chooseTest('Unplug the sensor');
  await page.getByRole('button', { name: 'Do this test' }).click();
  await section(page, 'Bench');
  await page.getByText('sets P0190', { exact: false }).waitFor();
  await section(page, 'Isolate');
  await chooseTest('Substitute 1.6 V');
  await page.getByRole('button', { name: 'Do this test' }).click();
  await section(page, 'Bench');
  await page.getByText('sets P0190 and P0191').waitFor();
  await section(page, 'Isolate');
});

test('its line is captured and decoded: frames in a table, a message spelt bit by bit, and the file of them', async () => {
  await practise(page, app.url, /crew van, fuel rail/u, 'B');
  await section(page, 'Sweeps');
  await page.getByRole('button', { name: 'Capture the simulated line' }).click();
  const found = page.getByRole('region', { name: 'What was found' });
  await found.getByText(/Telegrams arrive on .* 6 data nibbles, tick 3\.00 µs.* None was lost/u).waitFor();
  const frames = page.getByRole('table', { name: 'Telegrams' });
  await expect.poll(() => frames.getByRole('row').count()).toBe(13);
  await noAccessibilityFault(page);
  await page.getByRole('button', { name: 'Later frames' }).click();
  await page.getByText(/^13 to 24 of \d+$/u).waitFor();
  await page.getByText(/^Enhanced, id 3: 41 \(hexadecimal\), 65 as a number/u).waitFor();
  const begun = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save them as CSV' }).click();
  const csv = await readFile(await (await begun).path(), 'utf8');
  const [head, first = '', ...rest] = csv.trimEnd().split('\r\n');
  expect(head).toBe('seconds,status,nibble 1,nibble 2,nibble 3,nibble 4,nibble 5,nibble 6,value 1,value 2');
  expect(rest.length).toBeGreaterThan(20);
  const [, , a = 0, b = 0, c = 0, , , , value] = first.split(',').map(Number);
  expect(value).toBe(256 * a + 16 * b + c);
  await page
    .getByRole('button', { name: /^\d+\.\d\d$/u })
    .first()
    .click();
  await page.getByRole('link', { name: 'To the job' }).click();
});

test('the screen has no accessibility fault, and the browser had nothing to complain of', async () => {
  await noAccessibilityFault(page);
  expect(complaints).toEqual([]);
});
