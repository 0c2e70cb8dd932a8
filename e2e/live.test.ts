import { expect, test } from 'vitest';
import { chooseLogger } from '../scripts/bench/inBrowser.ts';
import { opened } from './application.ts';
import { noAccessibilityFault, openJob, pad, section } from './steps.ts';

const { app, page, complaints } = await opened({ feeds: 'simulated' });

const meter = () => page.getByRole('region', { name: 'Live meter' });

// The stand-in moves a half-ratio pedal: 1.00 V at rest, 4.40 V at full travel, a rest of more than two seconds at each.
test('the meter’s value is there as it arrives, and is held by itself once it stands', async () => {
  await openJob(page, app.url, {
    machine: 'Larch 1.6 crew van 7',
    complaint: 'limp mode',
    sensor: 'Larch AP-2 pedal, half-ratio pair',
  });
  // Never one tap from a real job's record.
  await expect.poll(() => meter().count()).toBe(0);
  await page.getByRole('button', { name: 'Try the simulated instruments' }).click();
  await meter().getByText('Saltmere Workshop Simulated logger').waitFor();
  await meter().getByText('simulated, not from this machine').waitFor();
  await meter()
    .getByRole('img', { name: /^Live: [1-4]\.\d{3} V$/u })
    .waitFor();
  await meter().getByRole('switch', { name: 'Hold when steady' }).check();
  await page
    .getByRole('status')
    .filter({ hasText: /^Signal at the sensor plug: (1\.00|4\.40) V/u })
    .waitFor();
  await expect
    .poll(() => page.locator('[data-point="signal:plug"]').textContent())
    .toMatch(/1\.00 V|4\.40 V/u);
  await meter().getByRole('switch', { name: 'Hold when steady' }).uncheck();
});

test('the second lead shows the other track, lowest and highest begin anew, and a tap takes the value', async () => {
  await pad(page, 'Second signal at the sensor plug').click();
  await meter().getByRole('combobox', { name: 'Lead' }).click();
  await page.getByRole('option', { name: 'Channel 2' }).click();
  await meter()
    .getByRole('img', { name: /^Live: [0-2]\.\d{3} V$/u })
    .waitFor();
  await meter().getByRole('button', { name: 'Begin anew' }).click();
  await meter()
    .getByText(/Lowest .*, highest /u)
    .waitFor();
  await meter().getByRole('button', { name: 'Take this reading' }).click();
  await page
    .getByRole('status')
    .filter({ hasText: /^Second signal at the sensor plug: / })
    .waitFor();
  await noAccessibilityFault(page);
});

test('live data of the unit stands beside its own point, and is taken in its own unit', async () => {
  await pad(page, 'Live data:').click();
  await meter().getByText('Live data: Pedal position D').waitFor();
  await meter()
    .getByRole('img', { name: /^Live: \d+\.\d %$/u })
    .waitFor();
  await meter().getByRole('button', { name: 'Take this reading' }).click();
  await page
    .getByRole('status')
    .filter({ hasText: /^Live data: \d+\.\d %/u })
    .waitFor();
  await pad(page, 'Second signal at the sensor plug').click();
});

const record = () => page.getByRole('button', { name: 'Record (R)' });
const openRecorder = async () => {
  await section(page, 'Sweeps');
  await page.getByRole('link', { name: 'Record live' }).click();
  await chooseLogger(page);
  await expect.poll(() => record().isEnabled()).toBe(true);
};
const recorded = (samples: string) =>
  page.getByText(new RegExp(`^Recording: (?:${samples}) samples`, 'u')).waitFor();

test('four channels stand on the page as they come, what each is can be said, and two are set against each other', async () => {
  await openRecorder();
  for (const name of ['Channel 1', 'Channel 2', 'Channel 3', 'Channel 4'])
    await page.getByRole('img', { name: `${name}, the last 30 seconds, in V` }).waitFor();
  await page.getByRole('combobox', { name: 'Channel 3 is' }).click();
  await page.getByRole('option', { name: 'Reference' }).click();
  await page.getByRole('button', { name: '10 s' }).click();
  await page.getByRole('button', { name: 'Against each other' }).click();
  await page.getByRole('img', { name: /^Channel 2 against Channel 1, live/u }).waitFor();
  await noAccessibilityFault(page);
  await page.getByRole('button', { name: 'Against each other' }).click();
});

test('keys start, mark and stop; marks, note and what the channels are stay with the recording', async () => {
  await page.getByLabel('Note, kept with the recording').fill('Second time, r and m typed here do nothing');
  await page.getByRole('button', { name: '10 s' }).focus();
  await page.keyboard.press('r');
  await recorded('[2-9]\\d\\d|\\d,\\d{3}');
  await page.keyboard.press('m');
  await page
    .getByRole('list', { name: 'Marks' })
    .getByText(/ s: At rest$/u)
    .waitFor();
  // As long as the stand-in's pedal stands still, and a little more: it has moved.
  await recorded('\\d,\\d{3}');
  await page.keyboard.press('r');
  const found = page.getByRole('region', { name: 'What was found' });
  await found.getByText(/, at \d+ samples a second\./u).waitFor();
  await found.getByText('Second time, r and m typed here do nothing').waitFor();
  await page.getByRole('button', { name: /^1\. \d+\.\d s: At rest$/u }).click();
  await page.getByRole('img', { name: /^Channel 3 over time, in V/u }).waitFor();
  await noAccessibilityFault(page);
});

test('volts and live data are recorded together, on one clock', async () => {
  await page.getByRole('link', { name: 'To the job' }).click();
  await section(page, 'Sweeps');
  await page.getByRole('link', { name: 'Record live' }).click();
  await page.getByRole('combobox', { name: 'Values from' }).click();
  await page.getByRole('option', { name: 'All 2 instruments together (simulated)' }).click();
  await page.getByRole('img', { name: /^Channel 1 · Saltmere.*the last 30 seconds, in V/u }).waitFor();
  await page.getByRole('img', { name: /^Pedal position D · Live data.*in %/u }).waitFor();
  await expect.poll(() => record().isEnabled()).toBe(true);
  await record().click();
  await recorded('\\d,\\d{3}');
  await page.keyboard.press('r');
  const found = page.getByRole('region', { name: 'What was found' });
  await found.getByText(/“Pedal position D · Live data” as the live data/u).waitFor();
  await page.getByRole('img', { name: /^Pedal position D · Live data over time, in %/u }).waitFor();
});

test('what is connected is listed, and says what it says where it is asked', async () => {
  await page.getByRole('link', { name: 'To the job' }).click();
  await page.getByRole('link', { name: 'Lettura', exact: true }).click();
  await page.getByRole('link', { name: 'Instruments' }).click();
  const connected = page.getByRole('region', { name: 'Connected instruments' });
  const name = 'What does Saltmere Workshop Simulated logger say?';
  await connected.getByRole('button', { name }).click();
  await connected.getByText(/[1-9]\d* samples a second\./u).waitFor();
  const reference = connected.getByRole('table', { name }).getByRole('row', { name: /^Channel 3/u });
  await expect.poll(() => reference.textContent()).toMatch(/^Channel 3(5|5\.00\d+|4\.99\d+) V$/u);
  await noAccessibilityFault(page);
  await page.goBack();
  await page.getByRole('link', { name: 'Larch 1.6 crew van 7' }).first().click();
});

test('a recording that dies with its page is offered again, says so, and is kept', async () => {
  await openRecorder();
  await record().click();
  await recorded('\\d,\\d{3}');
  await page.reload();
  await page.getByText(/is not on the job yet\. The page died meanwhile/u).waitFor();
  await page.getByRole('button', { name: 'Keep it' }).click();
  const found = page.getByRole('region', { name: 'What was found' });
  await found.getByText('The page died while this was recorded: up to its last second is missing.').waitFor();
  const kept = await page.getByText(/^.* samples in \d+\.\d s/u).textContent();
  // At least what had been there a second before the page died.
  expect(Number(/([\d,]+) samples/u.exec(kept ?? '')?.[1]?.replace(',', ''))).toBeGreaterThan(800);
});

test('a recording that the server does not take is not lost: it is offered until it is kept', async () => {
  await page.getByRole('link', { name: 'To the job' }).click();
  await openRecorder();
  await page.route('**/recordings', (route) => route.abort());
  await record().click();
  await recorded('\\d\\d\\d');
  await page.getByRole('button', { name: 'Stop, keep (R)' }).click();
  await page.getByText(/The recording is safe in this browser\.$/u).waitFor();
  await page.getByText(/is not on the job yet\.$/u).waitFor();
  await page.unroute('**/recordings');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.getByRole('region', { name: 'What was found' }).waitFor();
});

test('a recording is played again as if it came from the instrument, and comes to its end', async () => {
  await page.getByRole('link', { name: 'To the job' }).click();
  await openRecorder();
  await page.getByRole('combobox', { name: 'Values from' }).click();
  await page
    .getByRole('option', { name: /^Play again: / })
    .last()
    .click();
  await page.getByText('Live', { exact: true }).waitFor();
  await page.getByText(/^Nothing arrives, last value \d s old: it has come to its end$/u).waitFor();
  await expect.poll(() => record().isDisabled()).toBe(true);
});

test('a feed that dies is greyed within moments, never shown as fresh', async () => {
  await page.getByRole('link', { name: 'To the job' }).click();
  await section(page, 'Reading');
  await page.getByRole('button', { name: 'Try the simulated instruments' }).click();
  await meter()
    .getByText(/^Expected \d/u)
    .waitFor();
  await meter()
    .getByRole('img', { name: /^Live: \d\.\d{3} V$/u })
    .waitFor();
  expect(complaints).toEqual([]);
  await app.stop();
  await meter().getByRole('img', { name: 'Live: no fresh value' }).waitFor({ timeout: 2500 });
  await expect.poll(() => meter().getByRole('button', { name: 'Take this reading' }).isDisabled()).toBe(true);
});
