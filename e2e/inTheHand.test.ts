import type { Locator, Request } from 'playwright-core';
import { expect, test } from 'vitest';
import { opened, PATIENCE_MS } from './application.ts';
import { go, noAccessibilityFault, section, weighed } from './steps.ts';

const { app, browser } = await opened({ data: 'demo' });

/** A page in the hand, or on a table: of any size, and touched. */
async function inTheHand(width: number, height: number) {
  const context = await browser.newContext({ viewport: { width, height }, hasTouch: true });
  const page = await context.newPage();
  page.setDefaultTimeout(PATIENCE_MS);
  const inSight = async (what: Locator) => {
    const box = await what.boundingBox();
    expect(box, String(what)).not.toBeNull();
    expect(box!.y).toBeGreaterThanOrEqual(0);
    expect(box!.y + box!.height).toBeLessThanOrEqual(height);
    expect(box!.x + box!.width).toBeLessThanOrEqual(width);
    return box!;
  };
  const noSidewaysScroll = async () =>
    await expect
      .poll(() => page.evaluate(() => document.documentElement.scrollWidth))
      .toBeLessThanOrEqual(width);
  const tap = (what: Locator) => what.tap();
  return { context, page, inSight, noSidewaysScroll, tap };
}

test('the list of jobs is there after at most 250 kB of script, and the words of the trade come while it rests', async () => {
  const { context, page, tap } = await inTheHand(390, 844);
  const scripts: Request[] = [];
  page.on('requestfinished', (one) => one.resourceType() === 'script' && scripts.push(one));
  const bytes = async (of: readonly Request[]) =>
    (await Promise.all(of.map((one) => one.sizes()))).reduce((sum, one) => sum + one.responseBodySize, 0);
  await page.goto(app.url);
  await page.getByRole('list', { name: 'Jobs' }).getByRole('listitem').first().waitFor();
  const needed = scripts.slice();
  expect(await bytes(needed)).toBeLessThanOrEqual(250_000);
  // What is counted was packed, as it came.
  expect(await bytes(needed)).toBeGreaterThan(50_000);
  await tap(page.getByRole('button', { name: 'More' }));
  await tap(page.getByRole('dialog', { name: 'More' }).getByRole('button', { name: 'Help' }));
  await page.getByText('back-probe').first().waitFor();
  expect(scripts.length).toBeGreaterThan(needed.length);
  await context.close();
});

test('on a phone a reading is taken by one thumb, without a scroll', async () => {
  const { context, page, inSight, noSidewaysScroll, tap } = await inTheHand(390, 844);
  await page.goto(app.url);
  // Jobs are cards, and the filter counts all of them.
  const cards = page.getByRole('list', { name: 'Jobs' }).getByRole('listitem');
  await cards.nth(9).waitFor();
  await noSidewaysScroll();
  await tap(page.getByRole('button', { name: /^Proven 2$/u }));
  await expect.poll(() => cards.count()).toBe(2);
  await tap(page.getByRole('button', { name: /^All 10$/u }));
  await tap(page.getByRole('link', { name: 'Reedcutter RC2 boat' }));
  const glance = page.getByRole('region', { name: 'At a glance' });
  const goThere = glance.getByRole('button', { name: 'Go there: Return at the sensor plug' });
  await goThere.waitFor();
  await weighed(page);
  await noSidewaysScroll();
  const keypad = page.getByRole('group', { name: 'Keypad' });
  const line = page.locator('#quick-entry');

  // What is proven, what is next, the point in hand with what to expect, the line and its keys: all of it at once.
  await inSight(glance.getByText(/^Not proven yet\. Sensor \d\d %$/u));
  await inSight(glance.getByText('Next: Return at the sensor plug, key on, engine off'));
  await inSight(page.getByText('Expect 2.24 to 2.37 V').first());
  await inSight(page.getByRole('img', { name: 'Scale in volts; expected 2.24 V – 2.37 V; read 2.71 V' }));
  expect((await inSight(line)).width).toBeGreaterThanOrEqual(0.6 * 390);
  const targets = [goThere, line, ...(await keypad.getByRole('button').all())];
  for (const target of targets) {
    const { width, height } = await inSight(target);
    expect(Math.min(width, height)).toBeGreaterThanOrEqual(48);
  }

  await tap(goThere);
  await inSight(page.getByText('Expect 0 to 50 mV').first());
  for (const key of ['1', '2', 'mV']) await tap(keypad.getByRole('button', { name: key, exact: true }));
  await inSight(
    page
      .getByText(/This would be/u)
      .or(page.getByText('as expected'))
      .first(),
  );
  await tap(keypad.getByRole('button', { name: 'Save' }));
  await inSight(page.getByRole('status').filter({ hasText: '12 mV' }));
  await expect.poll(() => page.evaluate(() => window.scrollY)).toBe(0);

  // The state of the machine opens from its line, and closes once it is chosen.
  await tap(page.getByRole('button', { name: /^Key on, engine off, plug connected/u }));
  await tap(page.getByRole('button', { name: 'Idle', exact: true }));
  await inSight(page.getByRole('button', { name: /^Idle, plug connected/u }));
  // Every section is as wide as the phone, and nothing in it wider.
  for (const name of ['Compare', 'Isolate', 'Record', 'Verdict', 'Repair', 'Job', 'Reading'] as const) {
    await section(page, name);
    const panel = page.getByRole('tabpanel', { name });
    await panel.waitFor();
    await expect
      .poll(() => panel.evaluate((one) => one.scrollWidth - one.clientWidth), { message: name })
      .toBeLessThanOrEqual(1);
  }
  // Put away, the keypad leaves its place to what is above.
  await tap(page.getByRole('button', { name: 'Hide keypad' }));
  await expect.poll(() => keypad.count()).toBe(0);
  await tap(page.getByRole('button', { name: 'Keypad', exact: true }));
  await keypad.waitFor();
  // Nothing is out of reach: the library, the report, units and theme.
  await tap(page.getByRole('button', { name: 'More' }));
  await page.getByRole('dialog', { name: 'More' }).getByRole('link', { name: 'Report' }).waitFor();
  await noAccessibilityFault(page, { within: '[role=dialog]' });
  await page.keyboard.press('Escape');
  await noAccessibilityFault(page);
  await tap(page.getByRole('button', { name: 'More' }));
  await tap(page.getByRole('link', { name: 'Report' }));
  await page.getByRole('button', { name: 'Print' }).waitFor();
  for (const path of ['/sensors', '/instruments', '/reference', '/sweeps', '/jobs/new']) {
    await go(page, app.url, path);
    await page.getByRole('main').waitFor();
    await page.waitForLoadState('networkidle');
    await noSidewaysScroll();
  }
  await context.close();
});

test('a pump table is filled row by row, in the steps of the gauge in hand, and drawn as it grows', async () => {
  const { context, page, noSidewaysScroll } = await inTheHand(390, 844);
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Larch 1.6 crew van 7' }).tap();
  await weighed(page);
  await section(page, 'Pump');
  await page.getByRole('button', { name: 'Own steps' }).tap();
  const steps = page.getByRole('textbox', { name: 'Steps of the gauge, inHg' });
  // Nothing is guessed of what cannot be read, nor of what no pump can do.
  for (const unclear of ['0,5,10', '0 5 99']) {
    await steps.fill(unclear);
    await page.getByText('Write them with blanks between').waitFor();
  }
  await steps.fill('0 4 8 12');
  const table = page.getByRole('table', { name: 'Pump sweep' });
  const fields = table.getByRole('textbox');
  await expect.poll(() => fields.count()).toBe(4);
  await noSidewaysScroll();
  await fields.first().tap();
  for (let i = 0; i < 3; i++) {
    await page.keyboard.type('2.95');
    await page.keyboard.press('Enter');
    await expect
      .poll(() => fields.nth(i + 1).evaluate((field) => field === document.activeElement))
      .toBe(true);
  }
  await page.getByText(/^No response at all: over 3 steps the signal stays at 2\.95 V/u).waitFor();
  await page.getByRole('img', { name: 'Signal against absolute pressure' }).waitFor();
  // What is no number stays in its field, and the hand with it.
  await page.keyboard.type('two');
  await page.keyboard.press('Enter');
  await page.getByRole('alert').first().waitFor();
  await expect.poll(() => fields.nth(3).inputValue()).toBe('two');
  await fields.nth(3).fill('');
  // Each step once, though Enter saved it and the field was left as well.
  await section(page, 'Record');
  const lines = page.getByRole('list', { name: 'All readings' }).getByRole('listitem');
  await expect.poll(() => lines.filter({ hasText: '2.95 V' }).count()).toBe(3);
  await context.close();
});

test('on a tablet held upright the keypad and the standing are in sight beside the lanes', async () => {
  const { context, page, inSight, noSidewaysScroll } = await inTheHand(820, 1180);
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Reedcutter RC2 boat' }).tap();
  await page.getByRole('region', { name: 'Next reading' }).waitFor();
  await weighed(page);
  await noSidewaysScroll();
  await inSight(page.getByRole('link', { name: /^Not proven yet\. Sensor \d\d %$/u }));
  await inSight(page.getByRole('region', { name: 'Next reading' }).getByRole('heading', { name: /^Next/u }));
  await inSight(page.getByText('Expect 2.24 to 2.37 V').first());
  for (const key of await page.getByRole('group', { name: 'Keypad' }).getByRole('button').all()) {
    const { width, height } = await inSight(key);
    expect(Math.min(width, height)).toBeGreaterThanOrEqual(48);
  }
  // All six things to do are in sight, and a reading of the record takes two lines and no more.
  for (const name of ['Measure', 'Pump & sweep', 'Compare', 'Isolate', 'Record', 'Finish'])
    await inSight(page.getByRole('tab', { name, exact: true }));
  for (const name of ['Pump', 'Compare', 'Isolate', 'Record', 'Repair', 'Verdict', 'Job'] as const) {
    await section(page, name);
    const panel = page.getByRole('tabpanel', { name });
    await panel.waitFor();
    await expect
      .poll(() => panel.evaluate((one) => one.scrollWidth - one.clientWidth), { message: name })
      .toBeLessThanOrEqual(1);
  }
  await section(page, 'Record');
  const lines = page.getByRole('list', { name: 'All readings' }).getByRole('listitem');
  for (const line of await lines.all()) expect((await inSight(line)).height).toBeLessThan(80);
  await context.close();
});

test('beside a table the lanes are one line a wire, and whoever wants them whole has them so', async () => {
  const { context, page } = await inTheHand(1280, 800);
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Reedcutter RC2 boat' }).click();
  await weighed(page);
  const lanes = page.getByRole('group', { name: 'Circuit from control unit to sensor plug' });
  const height = async () => (await lanes.boundingBox())!.height;
  const whole = await height();
  await section(page, 'Pump');
  const strip = await height();
  expect(strip).toBeLessThan(0.65 * whole);
  // The section has the room that the lanes leave.
  expect((await page.getByRole('tabpanel').boundingBox())!.y).toBeLessThan(400);
  await page.getByRole('button', { name: 'All details' }).click();
  await expect.poll(() => height()).toBe(whole);
  await section(page, 'Compare');
  await expect.poll(() => height()).toBe(whole);
  // It is remembered.
  await page.reload();
  await weighed(page);
  await expect.poll(() => height()).toBe(whole);
  await context.close();
});

test('words and keys are a key away, and no drop-down takes a key from the sheet', async () => {
  const { context, page } = await inTheHand(1280, 800);
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Tolland 95' }).click();
  await weighed(page);
  // A job without a reading guides through the first ones, until that is known.
  const first = page.getByRole('region', { name: 'Your first readings' });
  await first.getByRole('button', { name: 'I know' }).click();
  await first.waitFor({ state: 'detached' });
  await page.reload();
  await weighed(page);
  await expect.poll(() => first.count()).toBe(0);

  await page.keyboard.press('?');
  const help = page.getByRole('dialog', { name: 'Keys and words' });
  await help.getByText('take back what was just entered').waitFor();
  await noAccessibilityFault(page, { within: '[role=dialog]' });
  await help.getByLabel('Search the words').fill('ghost');
  await expect.poll(() => help.getByRole('list', { name: 'Words' }).getByRole('listitem').count()).toBe(1);
  // In a field it is a character like any other.
  await help.getByLabel('Search the words').fill('');
  await page.keyboard.type('what?');
  await expect.poll(() => help.getByLabel('Search the words').inputValue()).toBe('what?');
  await help.getByText('No such word here.').waitFor();
  await help.getByRole('button', { name: 'Close' }).click();

  await page.getByRole('button', { name: 'What is back-probe?' }).click();
  await page
    .getByRole('dialog', { name: 'back-probe' })
    .getByText(/spreads the terminal/u)
    .waitFor();
  await page.keyboard.press('Escape');

  const unit = page.getByRole('combobox', { name: 'Absolute in' });
  await unit.selectOption('mbar');
  await unit.focus();
  await expect.poll(() => unit.evaluate((field) => field === document.activeElement)).toBe(true);
  await page.keyboard.type('2');
  await expect.poll(() => page.locator('#quick-entry').inputValue()).toBe('2');
  await page.keyboard.press('?');
  await expect.poll(() => page.locator('#quick-entry').inputValue()).toBe('2?');
  await context.close();
});

test('with the largest letters nothing is cut off sideways, and Alt with a digit goes to each thing to do', async () => {
  const { context, page, noSidewaysScroll } = await inTheHand(1280, 800);
  await page.goto(app.url);
  for (const name of ['Larger text', 'Largest text']) await page.getByRole('button', { name }).click();
  const letters = () => page.evaluate(() => parseFloat(getComputedStyle(document.documentElement).fontSize));
  await expect.poll(letters).toBeCloseTo(1.3 * 16, 3);
  await page.getByRole('link', { name: 'Reedcutter RC2 boat' }).click();
  await weighed(page);
  await noSidewaysScroll();
  for (const [i, name] of ['Measure', 'Pump & sweep', 'Compare', 'Isolate', 'Record', 'Finish'].entries()) {
    await page.keyboard.press(`Alt+${i + 1}`);
    await page.getByRole('tab', { name, exact: true, selected: true }).waitFor();
    await noSidewaysScroll();
  }
  for (const width of [820, 390]) {
    await page.setViewportSize({ width, height: 844 });
    await noSidewaysScroll();
  }
  // Kept with the page.
  await page.reload();
  await weighed(page);
  await expect.poll(() => letters()).toBeCloseTo(1.3 * 16, 3);
  await context.close();
});
