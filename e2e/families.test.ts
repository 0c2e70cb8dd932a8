import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { choose, enter, noAccessibilityFault, openJob, pad, section, standing } from './steps.ts';

const { app, page, complaints } = await opened();

test('a pedal pair: track 2 is expected from track 1, and tracks that part at full travel are told', async () => {
  await openJob(page, app.url, {
    machine: 'Larch 1.6 crew van',
    complaint: 'limp mode when pulling away',
    sensor: 'Larch AP-2 pedal, half-ratio pair',
  });
  await enter(page, 'ref 5.00');
  await enter(page, 'sig 1.02');
  await pad(page, 'Second signal at the sensor plug: expect 0.31 to 0.71 V').waitFor(); // half of 1.02 V, ± 4 % of 5 V
  await enter(page, 'sig2 0.51');
  await pad(page, 'Second signal at the sensor plug: 510 mV, as expected').waitFor();
  // What the unit makes of it stands beside the wires, and is put on record like any reading.
  await enter(page, 'scan sig2 0.02');
  const secondLive = 'Live data of the second signal, in volts';
  await pad(page, `${secondLive}: 20 mV, below what is expected`).click();
  await enter(page, '0.51');
  await pad(page, `${secondLive}: 510 mV, as expected`).waitFor();
  await enter(page, 'scan ref 4.98');
  await page.getByRole('alert').getByText('Type the signal and its volts, scan sig2 0.46').waitFor();
  await choose(page, 'Fully down');
  await enter(page, 'sig 4.38');
  await enter(page, 'sig2 1.88');
  // A supply that nobody has read could explain it: nobody is accused before it is.
  await section(page, 'Compare');
  await page
    .getByText('? Cannot tell until the return and the second reference and the second return are read.')
    .waitFor();
  for (const supply of ['ret 0mV', 'ref2 5.00', 'ret2 0mV']) await enter(page, supply);
  await standing(page)
    .getByText(/tracks do not belong together .*full travel.*6\.2 % of the reference off/u)
    .waitFor();
  await section(page, 'Compare');
  await page
    .getByText(/Track 1 reads 4\.380 V and calls for 2\.190 V on track 2, which reads 1\.880 V/u)
    .waitFor();
  await enter(page, 'scan 99 %');
  await page
    .getByRole('table', { name: 'Values compared' })
    .getByRole('row', { name: /^Live data/u })
    .waitFor();
  await page.getByText(/✓ Agree\. Sensor is/u).waitFor();
  await noAccessibilityFault(page);
});

test('a reading taken in the wrong quantity is refused with an example that fits', async () => {
  await enter(page, 'scan 30 kPa');
  await page.getByRole('alert').getByText('for example 16.5 %').waitFor();
});

test('a flow meter stands beside speed and density, and beside the litres rule', async () => {
  await page.goto(`${app.url}/jobs/new`);
  await page.getByLabel('Vehicle or machine').fill('Marsh Lane pump 2');
  await page.getByLabel('Complaint').fill('hunts at idle');
  await page.getByLabel('Sensor under test').fill('brill hf-5');
  await page.getByRole('option', { name: /Brill HF-5/u }).click();
  await page.getByLabel('Engine displacement in L').fill('6.8');
  await page.getByLabel('Station pressure').fill('101.1');
  await page.getByLabel('Air, °C').fill('18');
  await page.getByRole('button', { name: 'Open job' }).click();
  await pad(page, 'Battery feed at the sensor plug: expect 11.00 to 13.20 V').waitFor();
  await choose(page, 'Idle');
  await enter(page, 'sig 1.64');
  await standing(page)
    .getByText(/reads 3\.38 g\/s \(idle\); 6\.80 g\/s to 10\.20 g\/s would be usual/u)
    .waitFor();
  await section(page, 'Compare');
  const check = page.getByRole('group', { name: 'Flow meter against the engine' });
  await check
    .getByText(/draws 6\.80 g\/s to 10\.20 g\/s at warm idle .* the sensor tells 3\.38 g\/s: ▼ below/u)
    .waitFor();
  await check.getByLabel('Revs, 1/min').fill('650');
  await check.getByLabel(/^Manifold/u).fill('34');
  // 0.75 · 6.8 · 650/120 · 34 / (0.28705 · 291.15) = 11.24 g/s by hand
  await check.getByText(/Speed and density calls for 11\.24 g\/s .* ✕ Disagree, and it matters/u).waitFor();
  // Figures that are not on record yet outlive a look elsewhere.
  await section(page, 'Record');
  await section(page, 'Compare');
  await expect.poll(() => check.getByLabel('Revs, 1/min').inputValue()).toBe('650');
  // What the engine has to draw is a reading of its own: weighed, on record, and undone with one press.
  await check.getByRole('button', { name: 'Put it on record' }).click();
  const done = page.getByText(/The engine’s own flow: 11\.24 g\/s/u).first();
  await done.waitFor();
  await check.getByLabel('Revs, 1/min').fill('660');
  await check.getByRole('button', { name: 'Put it on record' }).click();
  await page
    .getByText(/The engine’s own flow: 11\.41 g\/s/u)
    .first()
    .waitFor();
  await section(page, 'Record');
  const lines = page.getByText(/The engine’s own flow/u);
  await expect.poll(() => lines.count()).toBeGreaterThanOrEqual(2);
  await enter(page, 'feed 12.4');
  await noAccessibilityFault(page);
});

test('a ten-point sweep of the family that loses 0.1 V per inHg is judged point by point (common practice)', async () => {
  await openJob(page, app.url, {
    machine: 'Tolland 95 tractor',
    complaint: 'stalls',
    sensor: 'Manifold pressure, 3.0 V less 0.1 V per inHg',
    ambient: { source: 'Barometer here', pressure: '101.325' },
  });
  await enter(page, 'ref 5.00');
  await enter(page, 'ret 0mV');
  await section(page, 'Pump');
  await choose(page, '10 steps');
  const table = page.getByRole('table', { name: 'Pump sweep' });
  await expect.poll(() => table.getByRole('row').count()).toBe(11);
  for (let i = 0; i < 10; i++) {
    const vacuum = 2.5 * i;
    // Sound to 17.5 inHg; from there the signal hangs at 1.25 V.
    const field = table.getByLabel(`Signal at ${vacuum} inHg`);
    await field.fill(Math.max(1.25, 3 - 0.1 * vacuum).toFixed(3));
    await field.press('Enter');
  }
  await page.getByText('10 of 10 steps read.').waitFor();
  const rows = await table.getByRole('row').allTextContents();
  expect(rows.slice(1, 9).every((row) => row.includes('✓ agrees'))).toBe(true);
  expect(rows[10]).toContain('✕ disagrees');
  await standing(page)
    .getByText(/does not follow the pump/u)
    .waitFor();
  await noAccessibilityFault(page);
});

test('at 1,500 m the same table is 0.5 V lower', async () => {
  await enter(page, 'baro 845.6 mbar'); // US Standard Atmosphere, 1976
  const table = page.getByRole('table', { name: 'Pump sweep' });
  const first = table.getByRole('row').nth(1);
  await expect.poll(() => first.textContent()).toMatch(/2\.\d\d to 2\.\d\d V/u);
  const [low, high] = ((await first.textContent()) ?? '').match(/\d\.\d\d/gu) ?? [];
  expect((Number(low) + Number(high)) / 2).toBeCloseTo(2.505, 1); // 3.0 V less 4.95 inHg at 0.1 V each
});

test('a step typed as something else than volts is refused, and stays in its field', async () => {
  const field = page.getByRole('table', { name: 'Pump sweep' }).getByLabel('Signal at 5 inHg');
  await field.fill('two');
  await field.press('Enter');
  await page.getByRole('alert').getByText('is not a number').waitFor();
  await expect.poll(() => field.inputValue()).toBe('two');
  await field.fill('');
});

test('the plug as found overrides the sensor’s list on this job alone', async () => {
  await section(page, 'Job');
  await page.getByRole('button', { name: 'Add a terminal' }).click();
  await page.getByRole('textbox', { name: 'Terminal' }).fill('C');
  await page.getByLabel('Colour').fill('orange');
  await page.getByRole('button', { name: 'Save job details' }).click();
  await page.getByText('Saved').waitFor();
  await page.reload();
  await page.getByText('Plug on this vehicle, changed from the sensor’s list').waitFor();
  await expect.poll(() => page.getByLabel('Colour').inputValue()).toBe('orange');
});

test('the same reading taken again stands beside the first', async () => {
  await enter(page, 'ref 4.90');
  await section(page, 'Compare');
  const table = page.getByRole('table', { name: 'Before and after' });
  await expect
    .poll(() => table.getByRole('row', { name: /Reference at the sensor plug/u }).textContent())
    .toMatch(/5\.00 V.*4\.90 V.*▼ fallen/su);
});

test('the browser had nothing to complain of', () => {
  expect(complaints).toEqual([]);
});
