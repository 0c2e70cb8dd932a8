import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { enter, noAccessibilityFault, pad, reportWeighed, section, standing, weighed } from './steps.ts';

const { app, browser, page } = await opened({ data: 'demo' });

const repeats = () => page.getByRole('list', { name: 'Before and after' });
const repeat = (where: RegExp) => page.getByRole('textbox', { name: where });
const proof = () => page.getByRole('region', { name: 'The same tests again' }).getByRole('status');

test('a repair begins the readings anew: the same tests are asked for again, and both together prove it', async () => {
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Larch 1.6 crew van 7' }).click();
  await weighed(page);
  await section(page, 'Repair');
  // What was done has to be said; what was typed stays through a change of section.
  await page.getByRole('button', { name: 'Put it on record' }).click();
  await page.getByText('Choose what was done.').waitFor();
  await page.getByRole('combobox', { name: 'What was done' }).click();
  await page.getByRole('option', { name: 'Another part replaced' }).click();
  await page.getByLabel('Which part, where').fill('timing belt');
  await page.getByLabel('Number of the new part').fill('LT-16');
  await section(page, 'Record');
  await section(page, 'Repair');
  await expect.poll(() => page.getByLabel('Which part, where').inputValue()).toBe('timing belt');
  await page.getByRole('button', { name: 'Put it on record' }).click();

  await expect
    .poll(() => proof().textContent())
    .toBe('Repair not proven yet: of the 3 readings that were off, 3 have not been shown to be right.');
  await noAccessibilityFault(page, { within: '[role=tabpanel]' });
  // The lanes are those of the repaired machine: nothing is read on it yet.
  await pad(page, 'Reference at the sensor plug: expect').waitFor();
  // What was off stands first, and Enter goes to the next point.
  const first = repeats().getByRole('textbox').first();
  const [, low, high] = /expect ([\d.]+) to ([\d.]+) V/u.exec(
    (await repeats().getByRole('listitem').first().textContent()) ?? '',
  )!;
  await first.fill('gauge manifold 19 inHg vac');
  await first.press('Enter');
  await page.getByText('That is a reading of another point.').waitFor();
  await expect.poll(() => first.inputValue()).toBe('gauge manifold 19 inHg vac');
  await first.fill(((Number(low) + Number(high)) / 2).toFixed(2));
  await first.press('Enter');
  await expect.poll(() => proof().textContent()).toContain('2 have not been shown to be right');
  await repeat(/^Read again: Live data, idle/u).fill('33 kPa');
  await repeat(/^Read again: Live data, idle/u).press('Enter');
  await repeat(/^Read again: Gauge at the manifold, idle/u).fill('20 inHg vac');
  await repeat(/^Read again: Gauge at the manifold, idle/u).press('Enter');
  await expect
    .poll(() => proof().textContent())
    .toBe(
      'Repair proven: all 3 readings that were off are as expected now, as far as the instrument can tell, in the same state. 3 others were not repeated.',
    );
  await weighed(page);
  await expect.poll(() => standing(page).textContent()).toContain('Nothing wrong now');
  await expect.poll(() => standing(page).textContent()).not.toMatch(/mistaken|slip/iu);
});

test('a second reading that is off is a second fault, until it is right', async () => {
  await enter(page, 'ret plug 0.9');
  await expect
    .poll(() => proof().textContent())
    .toContain('Off now, and not before: Return at the sensor plug');
  await enter(page, 'ret plug 0.01');
  await expect.poll(() => proof().textContent()).toContain('Repair proven');
});

test('codes, readiness and the road are part of the proof, and what is back takes it away', async () => {
  await section(page, 'Repair');
  const says = page.getByRole('list', { name: 'What codes, readiness and road say' });
  const press = (name: string) => page.getByRole('button', { name, exact: true }).click();
  await expect.poll(() => says.textContent()).toContain('No road test since the work.');
  await press('Codes cleared now');
  await says.getByText('Codes were cleared, and not read again since.').waitFor();
  const codes = page.getByLabel('Codes stored now (none: leave it empty)');
  await codes.fill('P01');
  await press('Put these codes on record');
  await page.getByRole('alert').filter({ hasText: 'P0106 P0122' }).waitFor();
  await expect.poll(() => codes.inputValue()).toBe('P01');
  await codes.fill('p0113');
  await press('Put these codes on record');
  await says.getByText('Not stored before, and set since clearing: P0113.').waitFor();
  await expect
    .poll(() => proof().textContent())
    .toMatch(/^Repair not proven: 3 of the 3 readings .*codes or the road speak/u);
  await press('Codes cleared now');
  await expect.poll(() => proof().textContent()).toContain('Repair proven');
  await press('Put “no code stored” on record');
  await page.getByRole('combobox', { name: 'Self-tests not finished (readiness)' }).click();
  await page.getByRole('option', { name: 'Catalyst', exact: true }).click();
  await page.keyboard.press('Escape');
  await press('Put this one as not finished on record');
  await says.getByText('Not finished yet: catalyst. A code that needs that self-test').waitFor();
  // The road: what is typed stays through a change of section, and what makes no sense is told.
  await page.getByLabel('Load, %').fill('900');
  await page.getByRole('combobox', { name: 'Road test: the complaint' }).click();
  await page.getByRole('option', { name: 'Did not come back' }).click();
  await press('Put the road test on record');
  await page.getByRole('alert').filter({ hasText: '900' }).waitFor();
  await page.getByLabel('Load, %').fill('90');
  await page.getByLabel('Gear').fill('4');
  await section(page, 'Record');
  await section(page, 'Repair');
  await expect.poll(() => page.getByLabel('Load, %').inputValue()).toBe('90');
  await press('Put the road test on record');
  await says.getByText('Road test (load 90 %, gear 4): the complaint did not come back.').waitFor();
  await page.getByLabel('Look again on').fill('2099-12-05');
  await press('Set the recheck');
  await page.getByText('5 Dec 2099').first().waitFor();
  await noAccessibilityFault(page, { within: '[role=tabpanel]' });
});

test('the report tells the work, its proof and every verdict, and the record keeps every reading', async () => {
  await page.getByRole('link', { name: 'Report' }).click();
  const report = page.getByRole('main');
  await report
    .getByRole('listitem')
    .filter({ hasText: 'another part replaced: timing belt, new part LT-16' })
    .waitFor();
  await reportWeighed(page);
  const text = (await report.textContent()) ?? '';
  expect(text).toContain('Engine vacuum really is low');
  expect(text).toContain('The sensor on order goes back.');
  expect(text).toContain('Repair proven: all 3 readings');
  expect(text).toContain('No code has come back: cleared, and read once since.');
  expect(text).toContain('the complaint did not come back');
  const rows = report.getByRole('table', { name: 'All readings' }).getByRole('row');
  // Each once, those of before and those of after.
  for (const value of ['2.26 V', '20.00 inHg vac', '13.75 inHg vac', '33 kPa abs'])
    await expect.poll(() => rows.filter({ hasText: value }).count(), { message: value }).toBe(1);
  await noAccessibilityFault(page);
  // The workshop's head stands above it, and the server sets the whole as a PDF.
  await page.getByText('Head of the reports: name, address').click();
  await page.getByLabel('Name of the workshop').fill('Alder <b>Street');
  await page.getByRole('button', { name: 'Save the head' }).click();
  await page.getByText('Contains HTML').waitFor();
  await page.getByLabel('Name of the workshop').fill('Alder Street Garage');
  await page.getByRole('button', { name: 'Save the head' }).click();
  await page.getByText('Saved: it stands above every report.').waitFor();
  await report.getByRole('banner').or(report.locator('header')).getByText('Alder Street Garage').waitFor();
  const asked = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as PDF' }).click();
  const paper = await asked;
  expect(paper.suggestedFilename()).toBe('lettura-report-Larch-1-6-crew-van-7.pdf');
  expect((await readFile(await paper.path())).subarray(0, 5).toString()).toBe('%PDF-');
  // As one page it says the same where there is no server, in the same letters.
  const begun = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as one page (HTML)' }).click();
  const kept = join(await mkdtemp(join(tmpdir(), 'lettura-report-')), 'report.html');
  await (await begun).saveAs(kept);
  const shown = (await report.textContent()) ?? '';
  const context = await browser.newContext({ offline: true });
  const apart = await context.newPage();
  await apart.goto(pathToFileURL(kept).href);
  const said = (await apart.getByRole('main').textContent()) ?? '';
  expect(said).toContain('Repair proven: all 3 readings');
  expect(said.length).toBeGreaterThan(1000);
  expect(shown.endsWith(said), 'all but the buttons').toBe(true);
  const letters = '16px "Atkinson Hyperlegible Next Variable"';
  expect(await apart.evaluate(async (font) => (await document.fonts.load(font)).length, letters)).toBe(1);
  await expect
    .poll(() => apart.evaluate(() => document.body.innerHTML))
    .not.toMatch(/<button[^>]*>Print|https?:/u);
  await context.close();
  await rm(dirname(kept), { recursive: true });
  await page.getByRole('link', { name: 'Back to the sheet' }).click();
});

test('the page of the machine has its jobs, what was done, and each point before and after', async () => {
  await section(page, 'Job');
  await page.getByRole('link', { name: 'All jobs on this machine' }).click();
  const jobs = page.getByRole('list', { name: 'Jobs of this machine, newest first' });
  await jobs.getByText('Engine vacuum really is low').waitFor();
  await expect.poll(() => jobs.textContent()).toContain('another part replaced: timing belt, new part LT-16');
  await page.getByRole('combobox', { name: 'Point, state and sensor' }).click();
  await page.getByRole('option', { name: /^Gauge at the manifold, idle: 2 readings/u }).click();
  await page
    .getByRole('img', { name: 'Gauge at the manifold, idle: 2 readings in the order of time' })
    .waitFor();
  const rows = page.getByRole('table', { name: 'Readings of Gauge at the manifold, idle' }).getByRole('row');
  const told = (await rows.allTextContents()).join(' ');
  expect(told).toMatch(/13\.75 inHg vac.*timing belt.*20\.00 inHg vac/su);
  await noAccessibilityFault(page);
});

test('all readings with its sensor stand beside those on other machines, each with the last word on it', async () => {
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Sensors' }).click();
  await page.getByRole('link', { name: /^Corvel MS-3 manifold pressure/u }).click();
  await page.getByRole('link', { name: 'All readings with it' }).click();
  await page.getByText('2 jobs with this sensor, in whatever version; practice left out').waitFor();
  await page.getByRole('combobox', { name: 'Point, state and sensor' }).click();
  await page
    .getByRole('option', { name: /^Reference at the sensor plug, key on, engine off: 2 readings/u })
    .click();
  const rows = page
    .getByRole('table', { name: /^Readings of Reference at the sensor plug/u })
    .getByRole('row');
  const told = (await rows.allTextContents()).join(' ');
  expect(told).toMatch(
    /21 mV.*Marsh Lane station: Reference wire.*5\.01 V.*crew van 7: Engine vacuum really is low/su,
  );
  // What was done on one of them is no line between the others.
  expect(told).not.toContain('timing belt');
  await noAccessibilityFault(page);
});

test('what was read on it since is known good on another machine with the same sensor', async () => {
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Marsh Lane station' }).click();
  await page.getByRole('button', { name: 'Idle', exact: true }).click();
  await pad(page, 'Gauge at the manifold').click();
  await page
    .getByText('This workshop, on machines proven good: 1 reading on 1 job, 20.00 inHg vac.')
    .waitFor();
  await page.getByText('On which machines').click();
  await page.getByText('repaired, and proven by the same tests again').waitFor();
  await noAccessibilityFault(page, { within: '[role=tabpanel]' });
});

test('a job that is left out by hand is known good no more, until it is taken in again', async () => {
  const leaveOut = async (isOut: boolean) => {
    await page.goto(app.url);
    await page.getByRole('link', { name: 'Larch 1.6 crew van 7' }).click();
    await section(page, 'Job');
    await page.getByRole('checkbox', { name: /^Leave this job out/u }).setChecked(isOut);
    await page.getByRole('button', { name: 'Save job details' }).click();
    await page.getByRole('status').filter({ hasText: 'Saved' }).waitFor();
    await page.goto(app.url);
    await page.getByRole('link', { name: 'Marsh Lane station' }).click();
    await page.getByRole('button', { name: 'Idle', exact: true }).click();
    await pad(page, 'Gauge at the manifold').click();
  };
  const good = page.getByText('This workshop, on machines proven good');
  await leaveOut(true);
  await page.waitForLoadState('networkidle');
  await expect.poll(() => good.count()).toBe(0);
  await leaveOut(false);
  await good.waitFor();
});

test('all jobs go out as a file and come in again; one that is wrong is refused with its place', async () => {
  await page.goto(app.url);
  const jobs = page.getByRole('table', { name: 'Jobs' }).getByRole('row');
  await jobs.nth(10).waitFor();
  await page.getByRole('button', { name: 'To look at again 1' }).click();
  await page.getByText('Look again on 5 Dec 2099').waitFor();
  await expect.poll(() => jobs.count()).toBe(2);
  await page.getByRole('button', { name: /^All / }).click();
  const count = (await jobs.count()) - 1;
  await page.getByText('Jobs as files: keep, pass on, take in').click();
  const begun = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save all jobs' }).click();
  const file = await begun;
  expect(file.suggestedFilename()).toMatch(/^lettura-jobs-\d{4}-\d\d-\d\d\.jsonl$/u);
  const text = await readFile(await file.path(), 'utf8');
  expect(text.trimEnd().split('\n')).toHaveLength(count);

  const choose = async (content: string) => {
    const asked = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Take in a file' }).click();
    await (
      await asked
    ).setFiles({ name: 'jobs.jsonl', mimeType: 'application/json', buffer: Buffer.from(content) });
  };
  await choose(text);
  await page.getByText(`0 jobs added, 0 with new lines, ${count} here already.`).waitFor();
  await choose(`${text}{"format": "lettura-job", "version": 1}\n`);
  await page.getByText(`Line ${count + 1}: `).waitFor();
  await page.getByText('Nothing was taken in.').waitFor();
  await noAccessibilityFault(page);
  await page.getByRole('link', { name: 'Larch 1.6 crew van 7' }).click();
  await section(page, 'Job');
  const one = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save the job as a file' }).click();
  expect((await one).suggestedFilename()).toMatch(/^lettura-job-Larch-1-6-crew-van-7-[0-9a-f]{6}\.json$/u);
});

test('work that is taken back was not done: the readings of before count again', async () => {
  await weighed(page);
  await section(page, 'Repair');
  await page.getByRole('button', { name: /^Take back another part replaced/u }).click();
  await pad(page, 'Reference at the sensor plug: 5.01 V').waitFor();
  await expect.poll(() => page.getByRole('region', { name: 'The same tests again' }).count()).toBe(0);
});

test('a machine that only has the same name is another one, with jobs of its own', async () => {
  await page.goto(app.url);
  await page.getByRole('link', { name: 'New job' }).click();
  await page.getByLabel('Vehicle or machine').fill('Larch 1.6 crew van 7');
  await page.keyboard.press('Escape');
  const which = page.getByRole('radiogroup', { name: 'A machine of this name is known: which one is it?' });
  // Most are the same: that one is chosen until somebody says otherwise.
  await expect.poll(() => which.getByLabel(/^The one with one job, last /u).isChecked()).toBe(true);
  await which.getByLabel('Another machine that has the same name').check();
  await page.getByText('Two machines of one name are hard to tell apart').waitFor();
  await noAccessibilityFault(page);
  await page.getByLabel('Complaint').fill('no power uphill');
  await page.getByLabel('Sensor under test').fill('Corvel MS-3');
  await page.getByRole('option', { name: 'Corvel MS-3' }).first().click();
  await page.getByRole('button', { name: 'Open job' }).click();
  await page.getByRole('region', { name: 'Next reading' }).waitFor();
  await section(page, 'Job');
  await page.getByRole('link', { name: 'All jobs on this machine' }).click();
  const jobs = page.getByRole('list', { name: 'Jobs of this machine, newest first' });
  await jobs.getByText('no power uphill').waitFor();
  await expect.poll(() => jobs.getByRole('listitem').count()).toBe(1);
});
