import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { noAccessibilityFault, practise, section, standing } from './steps.ts';

const { app, page, complaints } = await opened();

async function onTheBench(machine: RegExp, letter: string): Promise<void> {
  await practise(page, app.url, machine, letter);
  await section(page, 'Bench');
}
async function choose(field: string, option: string | RegExp): Promise<void> {
  await page.getByRole('combobox', { name: field, exact: true }).click();
  await page.getByRole('option', { name: option, exact: typeof option === 'string' }).click();
  await page.getByRole('listbox').waitFor({ state: 'detached' });
}
const state = (name: string) => page.getByRole('button', { name, exact: true }).click();
const meter = () => page.getByRole('region', { name: 'Meter', exact: true });
/** What the meter shows, in its unit. */
async function shown(): Promise<string> {
  return (await meter().getByRole('img').getAttribute('aria-label'))!.replace(/^\w+ shows /u, '');
}
async function volts(): Promise<number> {
  const [digits, unit] = (await shown()).split(' ');
  return Number(digits) * (unit === 'mV' ? 0.001 : 1);
}

test('both tracks of a mirrored pair are dead by a feed lost inside the housing, with the supply right at the plug', async () => {
  await onTheBench(/crew van, throttle/u, 'A');
  await choose('Red probe', 'Reference at the sensor plug');
  await expect.poll(volts).toBeGreaterThan(4.9);
  for (const wire of ['Signal', 'Second signal']) {
    await choose('Red probe', `${wire} at the sensor plug`);
    await expect.poll(volts).toBeLessThan(0.3);
  }
  await page.getByText('sets P0122 and P0222').waitFor();
  // Off the machine, the sensor’s own pins: no path from reference to either end of the track.
  await state('Key off');
  await state('Plug off');
  await meter().getByRole('button', { name: 'Ohms' }).click();
  await choose('Red probe', 'Reference pin of the sensor');
  await choose('Black probe', 'Return pin of the sensor');
  await expect.poll(() => shown()).toBe('OL');
  await meter().getByText('No beep.').waitFor();
});

test('ohms on a live circuit are shown with a warning, and without one when it is dead', async () => {
  await state('Key on, engine off');
  await meter().getByText('this number means nothing').waitFor();
  await state('Key off');
  await meter().getByText('this number means nothing').waitFor({ state: 'detached' });
});

test('a return of a few ohms beeps', async () => {
  await onTheBench(/crew van, throttle/u, 'C');
  await state('Key off');
  await state('Plug off');
  await meter().getByRole('button', { name: 'Ohms' }).click();
  await choose('Red probe', 'Return at the sensor plug');
  await choose('Black probe', 'Return at the control unit');
  await meter().getByText('It beeps').waitFor();
  expect(Number((await shown()).split(' ')[0])).toBeGreaterThan(3);
});

test('a neighbour that pulls the rail down is found by unplugging it', async () => {
  await onTheBench(/RC2 boat · manifold/u, 'A');
  await choose('Red probe', 'Reference at the sensor plug');
  await expect.poll(volts).toBeLessThan(2);
  await page.getByLabel('Unplug the other sensor on the reference').check();
  await expect.poll(volts).toBeGreaterThan(4.9);
});

test('a reading taken meanwhile goes on record with what was unplugged, and is weighed with it', async () => {
  await meter().getByRole('button', { name: 'Take' }).click();
  await page.getByRole('status').filter({ hasText: 'Reference at the sensor plug' }).waitFor();
  await standing(page).getByText('Another sensor pulls the reference down').first().waitFor();
  await section(page, 'Record');
  await page.getByRole('button', { name: /another sensor on the reference unplugged/u }).waitFor();
  await page.getByRole('button', { name: /^Another sensor on the reference unplugged/u }).click();
  await section(page, 'Bench');
  await expect.poll(volts).toBeLessThan(2);
});

test('a second meter is in the circuit too: on a wire that floats, both together take it down', async () => {
  await onTheBench(/pool car, air conditioning/u, 'B');
  await state('Plug off');
  await choose('Red probe', 'Signal at the sensor plug');
  const alone = await volts();
  await page.getByRole('switch', { name: 'Second meter' }).check();
  const second = page.getByRole('region', { name: 'Second meter' });
  await second.getByRole('combobox', { name: 'Red probe' }).click();
  await page.getByRole('option', { name: 'Signal at the sensor plug' }).click();
  await expect.poll(volts).toBeLessThan(alone - 0.02);
  await page.getByRole('switch', { name: 'Second meter' }).uncheck();
  await expect.poll(volts).toBeCloseTo(alone, 2);
});

test('live data follows a known voltage that is fed into the signal wire', async () => {
  await onTheBench(/Brill P4/u, 'B');
  await state('Plug off');
  await page.getByText('sets P0107').waitFor();
  await choose('Clip on', 'Known voltage');
  await page.getByLabel('Volts', { exact: true }).fill('1,6');
  await page.getByRole('button', { name: 'Attach' }).click();
  // 1.6 V: (1.6/5 − 0.02)/0.0078 = 38.5 kPa, in steps of 1 kPa.
  await page.getByText(/3[89]\.0 kPa abs · no code set/u).waitFor();
  await page
    .getByRole('list', { name: 'What is attached' })
    .getByText('1.6 V fed into the signal at the sensor plug')
    .waitFor();
  await page.getByRole('button', { name: /^Take off/u }).click();
  await page.getByText('sets P0107').waitFor();
});

test('a voltage that would harm the unit is refused at the field, and kept there', async () => {
  await page.getByLabel('Volts', { exact: true }).fill('12');
  await page.getByText('0 to 5 V').waitFor();
  await expect.poll(() => page.getByRole('button', { name: 'Attach' }).isDisabled()).toBe(true);
  await expect.poll(() => page.getByLabel('Volts', { exact: true }).inputValue()).toBe('12');
});

test('a jumper past a broken wire brings the signal back', async () => {
  await onTheBench(/Brill P4/u, 'A');
  await page.getByText('sets P0107').waitFor();
  await choose('From', 'Signal at the control unit');
  await choose('To', 'Signal at the sensor plug');
  await page.getByRole('button', { name: 'Attach' }).click();
  await page.getByText(/10[0-3]\.0 kPa abs · no code set/u).waitFor();
});

test('two wires cut in one place: the reference jumped past comes back, and the signal is still missing at the unit', async () => {
  await onTheBench(/RC2 boat · manifold/u, 'H');
  await choose('Red probe', 'Reference at the control unit');
  await expect.poll(volts).toBeGreaterThan(4.9);
  await choose('Red probe', 'Reference at the sensor plug');
  await expect.poll(volts).toBeLessThan(0.1);
  await choose('From', 'Reference at the control unit');
  await choose('To', 'Reference at the sensor plug');
  await page.getByRole('button', { name: 'Attach' }).click();
  await expect.poll(volts).toBeGreaterThan(4.9);
  await choose('Red probe', 'Signal at the sensor plug');
  await expect.poll(volts).toBeGreaterThan(3.5);
  await page.getByText('sets P0108').waitFor();
  await choose('From', 'Signal at the control unit');
  await choose('To', 'Signal at the sensor plug');
  await page.getByRole('button', { name: 'Attach' }).click();
  await page.getByText('no code set').waitFor();
});

test('live data shows a substituted constant in every state while the wire is right at the plug', async () => {
  await onTheBench(/Brill P4/u, 'A');
  await choose('Red probe', 'Signal at the sensor plug');
  for (const engine of ['Key on, engine off', 'Idle']) {
    await state(engine);
    await page.getByText('118.0 kPa abs · sets P0107').waitFor();
  }
  await expect.poll(volts).toBeLessThan(1.6); // about 32 kPa at idle
  await state('Key on, engine off');
  await expect.poll(volts).toBeGreaterThan(3.9); // ambient
});

test('a dead spot shows where the arm is held by hand, and only there', async () => {
  await onTheBench(/pool car, throttle/u, 'B');
  await choose('Red probe', 'Signal at the control unit');
  const held = page.getByRole('slider');
  await held.focus();
  const lifted: number[] = [];
  for (let percent = 1; percent <= 100; percent++) {
    await held.press('ArrowRight');
    await page.getByText(`${percent} %`, { exact: true }).first().waitFor();
    // Rest is 0.9 V and full travel 3.9 V; a wiper that lifts leaves the wire to its pull-up.
    if ((await volts()) > 4.8) lifted.push(percent);
  }
  // A patch of 3 % of the track, of which the travel uses 60 %.
  expect(lifted.length).toBeGreaterThanOrEqual(4);
  expect(lifted.length).toBeLessThanOrEqual(6);
  expect(lifted.at(-1)! - lifted[0]!).toBe(lifted.length - 1);
  await expect.poll(() => volts()).toBeCloseTo(3.9, 1);
});

test('work on the practice machine mends it where it is the right work, and only there', async () => {
  await onTheBench(/crew van, fuel rail/u, 'A');
  await choose('Red probe', 'Signal at the control unit');
  const broken = await volts();
  const work = async (what: string) => {
    await section(page, 'Repair');
    const done = page.getByRole('combobox', { name: 'What was done' });
    const more = page.getByText('More was done');
    await done.or(more).first().waitFor();
    if (!(await done.isVisible())) await more.click();
    await done.click();
    await page.getByRole('option', { name: what }).click();
    await page.getByRole('button', { name: 'Put it on record' }).click();
    await page
      .getByText(`${what[0]!.toUpperCase()}${what.slice(1)}`)
      .or(page.getByText(what))
      .first()
      .waitFor();
    await section(page, 'Bench');
    await choose('Red probe', 'Signal at the control unit');
  };
  await work('sensor replaced');
  await expect.poll(() => volts()).toBeCloseTo(broken, 1);
  await work('wire mended');
  await expect.poll(volts).toBeLessThan(4);
  // Open, the wire hung on the pull-up of the unit.
  expect(broken).toBeGreaterThan(4.5);
});

test('the bench has no accessibility fault, and the browser had nothing to complain of', async () => {
  await noAccessibilityFault(page);
  expect(complaints).toEqual([]);
});
