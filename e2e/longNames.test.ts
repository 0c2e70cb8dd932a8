import { v7 } from 'uuid';
import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { enter, go, section, SECTION_NAMES, weighed } from './steps.ts';

const { app, page } = await opened({ data: 'demo' });

/** As long as a name may be, without a blank: a part number, or a cat on the keyboard. */
const longName = (what: string, length: number) => (what + 'Wm'.repeat(60)).slice(0, length);
const MACHINE = longName('Machine', 119);
const SENSOR = longName('Sensor', 119);
const INSTRUMENT = longName('Meter', 79);

async function post(path: string, body: object): Promise<void> {
  const answer = await fetch(`${app.url}/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  expect(answer.status, await answer.text()).toBe(201);
}

/** Nothing reaches past the right edge, and the page does not scroll sideways. */
async function staysInside(where: string): Promise<void> {
  await page.getByText(/^Loading /u).waitFor({ state: 'detached' });
  const [wide, room] = await page.evaluate(() => [
    document.documentElement.scrollWidth,
    document.documentElement.clientWidth,
  ]);
  expect(wide, where).toBeLessThanOrEqual(room);
}

test.each([
  ['a laptop', { width: 1280, height: 800 }],
  ['a phone', { width: 390, height: 844 }],
])('on %s, names as long as they may be break no screen', async (_what, size) => {
  await page.setViewportSize(size);
  const sensors = (await (await fetch(`${app.url}/api/sensors`)).json()) as { id: string }[];
  const {
    lineageId: _l,
    version: _v,
    id: replaced,
    ...known
  } = sensors[0] as Record<string, unknown> & {
    id: string;
  };
  expect(replaced).toBeTruthy();
  const [vehicleId, sensorId, jobId, instrumentId] = [v7(), v7(), v7(), v7()];
  await post('/vehicles', { id: vehicleId, name: MACHINE });
  await post('/sensors', { ...known, id: sensorId, name: SENSOR, source: longName('Source', 199), pins: [] });
  await post('/instruments', {
    id: instrumentId,
    name: INSTRUMENT,
    sort: 'meter',
    accuracy: { kind: 'meter', percentOfReading: 0.5, counts: 2, displayCounts: 6000 },
    lowest: 0,
    highest: 60,
    notes: longName('Notes', 499),
  });
  await post('/jobs', {
    id: jobId,
    vehicleId,
    sensorId,
    complaint: longName('Complaint', 1999),
    codes: ['P0107'],
    history: longName('History', 1999),
    openedAt: new Date().toISOString(),
  });

  await page.goto(app.url);
  await page.getByText(MACHINE).first().waitFor();
  await staysInside('jobs');
  await page.goto(`${app.url}/jobs/${jobId}`);
  await weighed(page);
  await enter(page, 'ref plug 4.99');
  await staysInside('sheet');
  // This job has no simulated machine, and its sensor no port.
  for (const name of SECTION_NAMES.filter((one) => one !== 'Bench' && one !== 'Pump')) {
    await section(page, name);
    await staysInside(`sheet, ${name}`);
  }
  for (const path of [
    `/jobs/${jobId}/report`,
    `/jobs/${jobId}/sweeps/import`,
    `/jobs/${jobId}/sweeps/record`,
    '/jobs/new',
    '/sweeps',
    '/instruments',
    `/sensors/${sensorId}`,
    '/reference',
  ]) {
    await go(page, app.url, path);
    await page.getByRole('main').waitFor();
    await staysInside(path);
  }
});
