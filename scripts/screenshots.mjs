// npm run screenshots: one current picture of each main view, from demo data, for the README.
import { chmodSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureWebBuild } from './build.mjs';
import { ensureDebianPackages, ensureNodeModules, findChromium } from './install.mjs';
import { cluster } from './postgres.mjs';
import { root } from './run.mjs';
import { main, step } from './say.mjs';
import { startServer } from './server.mjs';

const LAPTOP = { width: 1280, height: 800 };
const TABLET = { width: 820, height: 1180 };
const PHONE = { width: 390, height: 844 };

/** Each view: its file, its size, and the way there from the list of jobs. */
const VIEWS = [
  ['jobs', LAPTOP, async () => {}],
  ['sheet', LAPTOP, (page) => page.getByRole('link', { name: 'Reedcutter RC2 boat' }).click()],
  ['sheet-phone', PHONE, (page) => page.getByRole('link', { name: 'Reedcutter RC2 boat' }).click()],
  ['sheet-tablet', TABLET, (page) => page.getByRole('link', { name: 'Reedcutter RC2 boat' }).click()],
  ['bench', LAPTOP, workThePracticeCase],
  [
    'compare-dim',
    LAPTOP,
    async (page) => {
      await page.getByRole('button', { name: 'Dim' }).click();
      await page.getByRole('link', { name: 'Reedcutter RC2 boat' }).click();
      await page.getByRole('button', { name: 'Idle', exact: true }).click();
      await page.getByRole('tab', { name: 'Compare', exact: true }).click();
    },
  ],
  [
    'verdict',
    LAPTOP,
    async (page) => {
      await page.getByRole('link', { name: 'Marsh Lane' }).click();
      await page.getByRole('tab', { name: 'Finish', exact: true }).click();
      await page.getByRole('tab', { name: 'Verdict', exact: true }).click();
    },
  ],
  [
    'sensors',
    LAPTOP,
    async (page) => {
      await page.getByRole('link', { name: 'Sensors', exact: true }).click();
      await page.getByRole('link', { name: '0.1 V per inHg' }).click();
      await page.getByRole('img', { name: 'Signal against absolute pressure' }).waitFor();
    },
  ],
  [
    'sweep',
    LAPTOP,
    async (page) => {
      await page.getByRole('link', { name: 'Larch 1.6 crew van 5' }).click();
      await page.getByRole('tab', { name: /sweep$/iu }).click();
      // Where there is no port to pump, this is the only section.
      const sweeps = page.getByRole('tab', { name: 'Sweeps', exact: true });
      if (await sweeps.isVisible()) await sweeps.click();
      await page.getByRole('link', { name: 'Slow travel, up and down' }).click();
      await page.getByRole('img', { name: /^Track 2 .*over time/u }).waitFor();
    },
  ],
  ['help', LAPTOP, (page) => page.keyboard.press('?')],
  [
    'pump',
    LAPTOP,
    async (page) => {
      await page.getByRole('link', { name: 'Weir Lane crane engine' }).click();
      await page.getByRole('tab', { name: /sweep$/iu }).click();
      await page.getByRole('tab', { name: 'Pump', exact: true }).click();
    },
  ],
  [
    'plan',
    LAPTOP,
    async (page) => {
      await page.getByRole('link', { name: 'Tolland 95 tractor' }).click();
      await page.getByRole('combobox', { name: 'I would rather begin with' }).click();
      await page.getByRole('option', { name: 'the plug off' }).click();
      await page.getByRole('button', { name: 'Begin here' }).scrollIntoViewIfNeeded();
    },
  ],
  ['wires', LAPTOP, findTheWires],
  [
    'isolate',
    LAPTOP,
    async (page) => {
      await practise(page, /Larch 1.6 crew van, pedal/u, 'Case D');
      await page.getByRole('tab', { name: 'Isolate' }).click();
      await page.getByRole('button', { name: 'Tests', exact: true }).click();
      await page.getByRole('combobox', { name: 'Test', exact: true }).click();
      await page.getByRole('option', { name: 'Bridge signal to reference' }).click();
      await page.getByRole('button', { name: 'Do this test' }).click();
      await page.getByRole('button', { name: 'Take this reading' }).click();
      await page.getByRole('button', { name: 'Close' }).click();
    },
  ],
  [
    'record',
    LAPTOP,
    async (page) => {
      await practise(page, /crew van, pedal/, 'Case A');
      await page.getByRole('tab', { name: /sweep$/iu }).click();
      // Where there is no port to pump, this is the only section.
      const sweeps = page.getByRole('tab', { name: 'Sweeps', exact: true });
      if (await sweeps.isVisible()) await sweeps.click();
      await page.getByRole('link', { name: 'Record live' }).click();
      await page.waitForTimeout(1500);
      await page.getByRole('button', { name: 'Record (R)' }).click();
      await page.waitForTimeout(3000);
      await page.keyboard.press('m');
      await page.getByRole('button', { name: 'Do it: At the far stop' }).click();
      await page.waitForTimeout(5500);
      await page.keyboard.press('m');
      await page.getByRole('button', { name: 'Do it: At rest again' }).click();
      await page.waitForTimeout(5500);
      await page.keyboard.press('m');
      await page.getByRole('button', { name: 'Against each other' }).click();
    },
  ],
  [
    'reference',
    LAPTOP,
    async (page) => {
      await page.getByRole('link', { name: 'Reference' }).click();
      await page.getByRole('tab', { name: 'Ohms in a wire' }).click();
    },
  ],
  [
    'report',
    TABLET,
    async (page) => {
      await page.getByRole('link', { name: 'Larch 1.6 crew van 7' }).click();
      await page.getByRole('link', { name: 'Report' }).click();
      await page.getByRole('button', { name: 'Print' }).waitFor();
      await page.getByText('being weighed').waitFor({ state: 'detached' });
    },
  ],
  ['repair', LAPTOP, repairTheEngine],
  [
    'machine',
    LAPTOP,
    async (page) => {
      await repairTheEngine(page);
      await page.getByRole('tab', { name: 'Job', exact: true }).click();
      await page.getByRole('link', { name: 'All jobs on this machine' }).click();
      await page.getByRole('img', { name: /in the order of time$/u }).waitFor();
    },
  ],
];

/** A belt is renewed, and two of three readings are taken again. */
async function repairTheEngine(page) {
  await page.getByRole('link', { name: 'Larch 1.6 crew van 7' }).click();
  await page.getByRole('tab', { name: 'Finish', exact: true }).click();
  await page.getByRole('tab', { name: 'Repair', exact: true }).click();
  const before = page.getByRole('list', { name: 'Before and after' });
  // A view before this one may have done it already: the pictures share one demo.
  await page.waitForTimeout(500);
  if ((await before.count()) > 0) return;
  await page.getByRole('combobox', { name: 'What was done' }).click();
  await page.getByRole('option', { name: 'Another part replaced' }).click();
  await page.getByLabel('Which part, where').fill('timing belt');
  await page.getByLabel('Number of the new part').fill('LT-16');
  await page.getByRole('button', { name: 'Put it on record' }).click();
  await before.waitFor();
  for (const [point, value] of [
    [/^Read again: Live data, idle/u, '33 kPa'],
    [/^Read again: Gauge at the manifold, idle/u, '20 inHg vac'],
  ]) {
    await page.getByRole('textbox', { name: point }).fill(value);
    await page.getByRole('textbox', { name: point }).press('Enter');
    await page.waitForTimeout(500);
  }
}

async function practise(page, machine, letter) {
  await page.getByRole('link', { name: 'New job' }).click();
  await page.getByLabel('Practise on the simulated machine').check();
  await page.getByRole('combobox', { name: 'Machine' }).click();
  await page.getByRole('option', { name: machine }).click();
  await page.getByRole('combobox', { name: 'Practice case' }).click();
  await page.getByRole('option', { name: letter }).click();
  await page.getByRole('button', { name: 'Start practice' }).click();
}

async function findTheWires(page) {
  await practise(page, /RC2 boat · manifold/u, 'Case E');
  await page.getByRole('tab', { name: 'Isolate', exact: true }).click();
  await page.getByRole('tab', { name: 'Which wire is which' }).click();
  for (let i = 0; i < 4; i++) {
    await page.getByRole('button', { name: 'Measure (simulated)' }).click();
    await page.waitForTimeout(1500); // the finder thinks beside the page
  }
}

async function workThePracticeCase(page) {
  await page.getByRole('link', { name: 'simulated' }).click();
  for (let i = 0; i < 2; i++) {
    await page.getByRole('button', { name: 'Go there' }).click();
    await page.getByRole('button', { name: 'Take this reading' }).click();
    await page.getByRole('button', { name: 'Close' }).click();
  }
  await page.getByRole('button', { name: 'Go there' }).click();
}

await main(async () => {
  await ensureDebianPackages({ chromium: true });
  await ensureNodeModules();
  await ensureWebBuild();
  const folder = mkdtempSync(join(tmpdir(), 'lettura-shots-'));
  chmodSync(folder, 0o755);
  const database = cluster(join(folder, 'postgres'));
  const { chromium } = await import('playwright-core');
  const shots = join(root, 'docs', 'screenshots');
  mkdirSync(shots, { recursive: true });
  let server;
  let browser;
  try {
    await database.create();
    await database.start();
    server = await startServer({ databaseUrl: database.url(), data: 'demo', feeds: 'none' });
    browser = await chromium.launch({
      executablePath: findChromium(),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
      ],
    });
    for (const [name, viewport, goThere] of VIEWS) {
      await step(name, async () => {
        const context = await browser.newContext({ viewport });
        const page = await context.newPage();
        await page.goto(server.url);
        await page.getByRole('link', { name: 'Marsh Lane' }).waitFor();
        await goThere(page);
        await page.waitForLoadState('networkidle');
        // The weighing thinks beside the sheet.
        if (/\/jobs\/[0-9a-f-]+(?:\?|$)/u.test(page.url()))
          await page.locator('[aria-label="Standing"][aria-busy="false"]').waitFor();
        await page.getByText('The readings are being weighed.').waitFor({ state: 'detached' });
        await page.waitForTimeout(500); // transitions of the controls
        await page.screenshot({ path: join(shots, `${name}.png`) });
        await context.close();
      });
    }
  } finally {
    await browser?.close();
    await server?.stop();
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});
