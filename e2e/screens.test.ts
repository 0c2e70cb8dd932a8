import { expect, test } from 'vitest';
import { opened } from './application.ts';
import {
  go,
  nextReading,
  noAccessibilityFault,
  pad,
  quickEntry,
  reportWeighed,
  section,
  standing,
  toJobs,
  weighed,
  type SectionName,
} from './steps.ts';

const { app, page } = await opened({ data: 'demo' });

const openDemo = async (machine: string) => {
  await toJobs(page, app.url);
  await page.getByRole('link', { name: machine }).click();
  await nextReading(page).waitFor();
  await weighed(page);
};

test('the demo shows ten jobs in different stages, and search narrows them as one types', async () => {
  await page.goto(app.url);
  const rows = page.getByRole('table', { name: 'Jobs' }).getByRole('row');
  await rows.nth(10).waitFor();
  await page.getByLabel('Search').fill('p0106 rc2');
  await expect.poll(() => rows.count()).toBe(2); // the heading and the boat
  await page.getByLabel('Search').fill('nothing like it');
  await page.getByText('No job matches this search.').waitFor();
});

test('the sheet reads at once: leading cause, what speaks for it, what is missing, and the next reading', async () => {
  await openDemo('Reedcutter RC2 boat');
  await expect
    .poll(() => standing(page).textContent())
    .toMatch(
      /not proven yet.*“Sensor” leads.*sensor reads shifted.*For \((?:strong|some)\): Signal at the sensor plug 2\.71 V.*a sound machine would show about 2\.3\d V/su,
    );
  await expect
    .poll(() => standing(page).textContent())
    .toContain('Return good at the plug, loaded: still to show');
  await nextReading(page).getByRole('heading', { name: 'Next: return at the sensor plug' }).waitFor();
  await pad(page, 'Signal at the sensor plug: 2.71 V, above what is expected; 1.19 V idle').waitFor();
});

test('what guessing would cost is set against one more reading', async () => {
  await openDemo('Reedcutter RC2 boat');
  await section(page, 'Verdict');
  const guess = page.getByRole('region', { name: 'Cost of guessing' });
  await guess.getByLabel('Part costs').fill('140,-');
  await guess.getByText('Give a number, such as 85.').waitFor();
  await guess.getByLabel('Part costs').fill('140');
  await guess.getByLabel('An hour costs').fill('72');
  await guess.getByText(/is for nothing \d+ times in a hundred: \d+ lost on average.*read first/u).waitFor();
  await section(page, 'Reading');
});

test('a look is answered with one tap, goes on record, and is not asked for again', async () => {
  await openDemo('Reedcutter RC2 boat');
  const next = nextReading(page);
  await next.getByText('Other readings').click();
  await next.getByText(/^Are the terminals of the sensor plug/u).waitFor();
  await next.getByRole('button', { name: 'Clean and tight' }).click();
  await page.getByRole('status').filter({ hasText: 'Clean and tight' }).waitFor();
  await weighed(page);
  await expect.poll(() => next.textContent()).not.toContain('Are the terminals');
  await section(page, 'Record');
  await page
    .getByRole('button', { name: /Are the terminals of the sensor plug.*clean and tight/u })
    .waitFor();
  // Undone, it is open again.
  await page.getByRole('button', { name: 'Undo' }).click();
  await weighed(page);
  await expect.poll(() => next.textContent()).toContain('Are the terminals');
  await section(page, 'Reading');
});

test('the whole check can be done from the keyboard', async () => {
  await openDemo('Tolland 95 tractor');
  await page.keyboard.press('Alt+n');
  await expect.poll(() => page.evaluate(() => document.activeElement?.id)).toBe('quick-entry');
  await page.keyboard.type('baro 101.3');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Ambient 101\.3 kPa/u }).waitFor();
  await page.keyboard.type('ref 4.97');
  await page.keyboard.press('Enter');
  await pad(page, 'Reference at the sensor plug: 4.97 V, as expected').waitFor();
  await page.getByRole('button', { name: 'Close' }).focus();
  await page.keyboard.press('Enter');
  await pad(page, 'Return at the sensor plug').focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('8'); // a digit typed anywhere goes to the line
  await page.keyboard.type('mV');
  await page.keyboard.press('Enter');
  await pad(page, 'Return at the sensor plug: 8 mV, as expected').waitFor();
});

test('the keypad writes into the same line as the keyboard', async () => {
  await pad(page, 'Signal at the sensor plug').click();
  const keypad = page.getByRole('group', { name: 'Keypad' });
  for (const key of ['2', '.', '9', '8', '7'])
    await keypad.getByRole('button', { name: key, exact: true }).click();
  await keypad.getByRole('button', { name: 'Delete the last character' }).click();
  await expect.poll(() => quickEntry(page).inputValue()).toBe('2.98');
  await keypad.getByRole('button', { name: 'Save' }).click();
  await pad(page, 'Signal at the sensor plug: 2.98 V, as expected').waitFor();
});

test('a running engine brings its caution to the point in hand', async () => {
  await page.getByRole('button', { name: 'Idle', exact: true }).click();
  await page.getByRole('tabpanel').getByText('clear of belts and of fans').waitFor();
  await page.getByRole('button', { name: 'Key on, engine off' }).click();
});

test('the report prints the verdict, the lanes and every reading', async () => {
  await openReport();
  const paper = (await page.getByRole('main').textContent()) ?? '';
  for (const text of [
    'Engine vacuum really is low',
    'Timing belt one tooth late',
    '13.75 inHg vac',
    'sig 4.08',
    'En 0.',
  ]) {
    expect(paper).toContain(text);
  }
  await page.emulateMedia({ media: 'print' });
  await expect.poll(() => page.getByRole('button', { name: 'Print' }).isVisible()).toBe(false);
  const pdf = await page.pdf({ format: 'A4' });
  expect(pdf.byteLength).toBeGreaterThan(20_000);
  await page.emulateMedia({ media: 'screen' });
});

test('a job that was opened on the wrong machine and sensor is moved, and says what it was of', async () => {
  await openDemo('Quill 1.4 pool car');
  await section(page, 'Job');
  await page.getByText('Wrong machine or sensor chosen?').click();
  const change = page.getByRole('button', { name: 'Change it' });
  await expect.poll(() => change.isEnabled()).toBe(false);
  await page.getByLabel('Vehicle or machine').fill('Quill 1.4 of the reservoir');
  await page.keyboard.press('Escape');
  await page.getByLabel('Sensor under test').fill('Heron B3');
  await page.getByRole('option', { name: /^Heron B3/u }).click();
  // What is not saved yet outlives a look at something else.
  const leftOut = page.getByRole('checkbox', { name: /known.good/u });
  await leftOut.check();
  await page.getByRole('button', { name: 'Add a terminal' }).click();
  await page.getByLabel('Colour').fill('grey');
  await section(page, 'Reading');
  await section(page, 'Job');
  await expect.poll(() => leftOut.isChecked()).toBe(true);
  await expect.poll(() => page.getByLabel('Colour').inputValue()).toBe('grey');
  await expect
    .poll(() => page.getByLabel('Vehicle or machine').inputValue())
    .toBe('Quill 1.4 of the reservoir');
  await leftOut.uncheck();
  await change.click();
  const formerly = page.getByRole('list', { name: 'What this job was said to be of before' });
  await formerly.getByText('the sensor was said to be MPX4250A').waitFor();
  await formerly.getByText('the machine was said to be Quill 1.4 pool car').waitFor();
  await page.getByRole('heading', { name: /Quill 1\.4 of the reservoir/u }).waitFor();
  // Back again, to the machine that is known.
  await page.getByLabel('Vehicle or machine').fill('Quill 1.4 pool car');
  await page.keyboard.press('Escape');
  await page.getByRole('radio', { name: /^The one/u }).check();
  await change.click();
  await formerly.getByText('the machine was said to be Quill 1.4 of the reservoir').waitFor();
  await section(page, 'Reading');
});

test('a deleted job leaves the list, and undo brings it back', async () => {
  await page.goto(app.url);
  await page.getByRole('button', { name: 'Delete Quill 1.4 pool car' }).click();
  await page.getByRole('link', { name: 'Quill 1.4 pool car' }).waitFor({ state: 'detached' });
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('link', { name: 'Quill 1.4 pool car' }).waitFor();
});

test('a job that was deleted earlier is brought back from the list of deleted ones', async () => {
  await page.getByRole('button', { name: 'Delete Quill 1.4 pool car' }).click();
  await page.getByText('The job was deleted.').waitFor();
  await page.reload();
  await page.getByText('Deleted jobs: 1').click();
  await page.getByRole('button', { name: 'Bring back Quill 1.4 pool car' }).click();
  await page.getByRole('link', { name: 'Quill 1.4 pool car' }).waitFor();
});

/** Opened from its sheet once, and from its own address from then on. */
let reportPath: string | undefined;
async function openReport(): Promise<void> {
  if (reportPath) await go(page, app.url, reportPath);
  else {
    await openDemo('Larch 1.6 crew van 7');
    await page.getByRole('link', { name: 'Report' }).click();
  }
  await reportWeighed(page);
  reportPath = new URL(page.url()).pathname;
}

const OTHER_THEMES = 2;
const SCREENS: [string, () => Promise<void>][] = [
  ['jobs', () => toJobs(page, app.url)],
  ['new job', () => go(page, app.url, '/jobs/new')],
  ['sheet', () => openDemo('Reedcutter RC2 boat')],
  ['bench', () => openDemo('simulated')],
  ['report', () => openReport()],
  ['sensors', () => go(page, app.url, '/sensors/01935a00-0000-7000-8000-000000000016')],
  ['new sensor', () => go(page, app.url, '/sensors/new')],
  [
    'record live',
    async () => {
      await openDemo('Larch 1.6 crew van 5');
      await section(page, 'Sweeps');
      await page.getByRole('list', { name: 'Recordings' }).waitFor();
      await page.getByRole('link', { name: 'Record live' }).click();
      await page.getByRole('img', { name: /^Track 1 at the plug, the last 30 seconds/u }).waitFor();
    },
  ],
  ['instruments', () => go(page, app.url, '/instruments')],
  ['pump', async () => void (await openDemo('Weir Lane crane engine'), await section(page, 'Pump'))],
  ['flow', async () => void (await openDemo('Eastfen pump 2'), await section(page, 'Compare'))],
];

test.each(SCREENS)(
  'the %s screen has no accessibility fault, in any of the three themes',
  async (name, open) => {
    const parts: readonly SectionName[] =
      name === 'sheet' ? ['Compare', 'Ambient', 'Record', 'Verdict', 'Repair', 'Job', 'Reading'] : [];
    const look = async (rules?: string[]) => {
      await noAccessibilityFault(page, { rules });
      for (const part of parts) {
        await section(page, part);
        await noAccessibilityFault(page, { rules, within: '[role=tabpanel]' });
      }
    };
    await open();
    await look();
    const otherTheme = page.getByRole('button', { name: /^(?:Dim|Daylight|Light)$/u });
    for (let other = 0; other < OTHER_THEMES; other++) {
      if (await otherTheme.isVisible()) await otherTheme.click();
      else {
        // Paper has no such button.
        await go(page, app.url, '/');
        await otherTheme.click();
        await open();
      }
      // A theme changes nothing but colours.
      await look(['color-contrast']);
    }
  },
);

test.each([
  [1280, 800],
  [820, 1180],
  [1920, 1080],
])('at %d × %d nothing needs scrolling sideways, and big enough targets stay big', async (width, height) => {
  await page.setViewportSize({ width, height });
  await openDemo('Reedcutter RC2 boat');
  await expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth))
    .toBeLessThanOrEqual(width);
  const keys = await page.getByRole('group', { name: 'Keypad' }).getByRole('button').all();
  const pads = await page.getByRole('group', { name: 'Circuit' }).getByRole('button').all();
  for (const target of [...keys, ...pads]) {
    const box = await target.boundingBox();
    expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(44);
  }
  await expect.poll(() => quickEntry(page).isVisible()).toBe(true);
  await expect.poll(() => standing(page).isVisible()).toBe(true);
  for (const path of ['/sensors/01935a00-0000-7000-8000-000000000016', '/sensors/new', '/instruments']) {
    await go(page, app.url, path);
    await page.getByRole('main').waitFor();
    await page.waitForLoadState('networkidle');
    await expect
      .poll(() => page.evaluate(() => document.documentElement.scrollWidth))
      .toBeLessThanOrEqual(width);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
});
