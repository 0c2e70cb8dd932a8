import type { Workshop } from '@lettura/contract';
import { deflateRawSync } from 'node:zlib';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { SHIPPED_SENSORS } from '../sensors/shippedSensors.ts';
import { openTestJob, signalReading } from '../testJob.ts';
import { testServer } from '../testServer.ts';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const reading = (jobId: string, over: object) =>
  server.call('POST', `/jobs/${jobId}/readings`, signalReading(jobId, over));

const WITHOUT = { state: undefined, lane: undefined, place: undefined, volts: undefined };
const air = (jobId: string, over: object = {}) =>
  reading(jobId, {
    ...WITHOUT,
    id: v7(),
    kind: 'ambient',
    ambient: { source: 'barometer', stationKpaAbs: 100 },
    ...over,
  });

async function pdf(jobId: string, query = '?vacuum=inHg&timeZone=UTC') {
  const answer = await fetch(`${server.base}/jobs/${jobId}/report.pdf${query}`);
  expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'application/pdf']);
  const bytes = new Uint8Array(await answer.arrayBuffer());
  const letters = Buffer.from(bytes).toString('latin1');
  const document = await getDocument({ data: bytes, verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let number = 1; number <= document.numPages; number++) {
    const { items } = await (await document.getPage(number)).getTextContent();
    pages.push(
      items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/gu, ' '),
    );
  }
  return { pages, letters };
}

test('the head is changed from what was seen, takes a picture, and nothing else', async () => {
  const now = (await server.call('GET', '/workshop')).body as { revision: number };
  const picture =
    'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
  const change = {
    name: 'Alder Street Garage',
    address: '12 Alder Street\nFernham',
    picture,
    revision: now.revision,
  };
  expect(await server.call('PUT', '/workshop', change)).toMatchObject({
    status: 200,
    body: { revision: now.revision + 1 },
  });
  expect(await server.call('PUT', '/workshop', change)).toMatchObject({ status: 409 });
  for (const wrong of [
    'data:image/svg+xml;base64,AAAA',
    'https://example.org/a.png',
    'data:image/png;base64,'.padEnd(400_001, 'A'),
  ])
    expect(
      await server.call('PUT', '/workshop', { ...change, picture: wrong, revision: now.revision + 1 }),
    ).toMatchObject({ status: 400 });
});

test('page one is for the customer, the rest for the next technician, with pages, fonts and all readings', async () => {
  const job = await openTestJob(server, SHIPPED_SENSORS[0]!.id, {
    complaint: 'stalls when hot; Σ ≤ 5 Ω',
    codes: ['P0107'],
  });
  const koeo = { engine: 'koeo', plug: 'connected' };
  await air(job.id);
  for (const [lane, volts] of [
    ['reference', 5],
    ['return', 0.01],
    ['signal', 0.02],
  ] as const)
    await reading(job.id, { lane, volts, enteredText: `${lane} ${volts}`, state: koeo });
  const verdict = (note: string) =>
    server.call('POST', `/jobs/${job.id}/verdicts`, {
      id: v7(),
      jobId: job.id,
      decidedAt: new Date().toISOString(),
      cause: 'not-proven',
      note,
    });
  await verdict('Sensor suspected.');
  await reading(job.id, { ...WITHOUT, kind: 'work', work: 'sensor-replaced', newPart: 'MS-3B' });
  await reading(job.id, { lane: 'signal', volts: 1.8, enteredText: 'sig 1.80', state: koeo });
  await verdict('Watch it for a week.');
  const { pages, letters } = await pdf(job.id);
  const [first = '', ...rest] = pages;
  expect(first).toMatch(
    /^Alder Street Garage 12 Alder Street Fernham Reedcutter RC2 boat Stalls when hot; Σ ≤ 5 Ω Codes: P0107\./u,
  );
  // What was said before the work is what was wrong; what was said after it is not.
  expect(first).toMatch(/What was wrong Not proven yet \([^)]*\) Sensor suspected\. How that is known/u);
  expect(first).toMatch(/Verdict after the work: Not proven yet \([^)]*\) Watch it for a week\./u);
  expect(first).toContain('Signal at the sensor plug, key on, engine off: 20 mV, and should be');
  expect(first).toContain('sensor replaced, new part MS-3B');
  expect(first).toContain('Repair proven: the reading that was off is as expected now');
  expect(first).toContain('2 of the 3 readings from before the work were not repeated.');
  expect(first).toContain('Date and signature, customer');
  expect(first).toContain(`page 1 of ${pages.length}`);
  expect(rest.length).toBeGreaterThan(0);
  const all = rest.join(' ');
  for (const said of ['Before and after the work', 'sig 1.80', '20 mV ▼', 'k = 2', 'airbag'])
    expect(all, said).toContain(said);
  expect(letters).toContain('/Subtype /Image');
  // The letters are in the file, so that it reads the same everywhere.
  expect(letters).toMatch(/\/BaseFont \/[A-Z]{6}\+DejaVuSansCondensed\b/u);
  expect(letters.match(/\/FontFile2/gu)?.length).toBeGreaterThanOrEqual(2);
});

/** Lines and areas that are drawn, over all pages. */
async function drawnIn(bytes: Uint8Array): Promise<number> {
  const document = await getDocument({ data: bytes, verbosity: 0 }).promise;
  let drawn = 0;
  for (let number = 1; number <= document.numPages; number++) {
    const { fnArray } = await (await document.getPage(number)).getOperatorList();
    drawn += fnArray.filter((operator) => operator === OPS.constructPath).length;
  }
  return drawn;
}

test('pump steps stand in a table beside the curve, and a recording is drawn with its dropout', async () => {
  const map = SHIPPED_SENSORS.find(({ family }) => family === 'manifold-pressure')!;
  const job = await openTestJob(server, map.id);
  await air(job.id);
  const fetched = async () =>
    new Uint8Array(await (await fetch(`${server.base}/jobs/${job.id}/report.pdf`)).arrayBuffer());
  const without = await drawnIn(await fetched());
  for (const kpaAboveAmbient of [0, -20, -40])
    await reading(job.id, {
      id: v7(),
      volts: 4.1,
      state: { engine: 'koeo', plug: 'connected', stimulus: { kind: 'pump', kpaAboveAmbient } },
    });
  const samples = 2000;
  const values = Float64Array.from({ length: samples }, (_, i) => (i === 777 ? 0.02 : 2 + i / samples));
  const seconds = Float64Array.from({ length: samples }, (_, i) => i / 100);
  const kept = {
    id: v7(),
    jobId: job.id,
    name: 'sweep < 5 V & more',
    takenAt: new Date().toISOString(),
    source: 'import',
    channels: [{ name: 'first & "only"', unit: 'V', use: 'signal' }],
    samples,
    durationSeconds: 20,
    findings: [],
    marks: [],
    note: '',
    data: deflateRawSync(Buffer.concat([Buffer.from(seconds.buffer), Buffer.from(values.buffer)])).toString(
      'base64',
    ),
  };
  const sent = await server.call('POST', `/jobs/${job.id}/recordings`, kept);
  expect(sent.status, JSON.stringify(sent.body)).toBe(201);
  const { pages } = await pdf(job.id);
  const all = pages.join(' ');
  expect(all).toContain('Pump table');
  // 40 kPa of vacuum, in the unit that was asked for, and how far off a signal is that stands still.
  expect(all).toMatch(/11\.81 inHg vacuum 0\.91 to 1\.09 V 4\.10 V ✕ disagrees: 155\.0 kPa above, En/u);
  // Three steps are three readings wherever they are named.
  expect(all).toMatch(/For: Signal at the sensor plug 4\.10 V \([^)]*5\.91 inHg vacuum, plug connected\)/u);
  expect(all).toContain('first & "only", V');
  expect(await drawnIn(await fetched())).toBeGreaterThan(without + 10);

  const drawn = await server.call('GET', `/recordings/${kept.id}/pictures`);
  const [picture = ''] = (drawn.body as { pictures: string[] }).pictures;
  expect(picture).toContain('<title>sweep &#60; 5 V &#38; more, first &#38; &#34;only&#34;</title>');
  // One sample of two thousand went low: the line goes there, to the bottom of the picture.
  const heights = [...picture.matchAll(/[ML][\d.]+ ([\d.]+)/gu)].map(([, y]) => Number(y));
  const lowest = Math.max(...heights);
  expect(heights.filter((y) => y === lowest)).toHaveLength(1);
  expect(lowest).toBeGreaterThan(heights.toSorted((a, b) => b - a)[1]! + 20);
  expect((await server.call('GET', `/recordings/${v7()}/pictures`)).status).toBe(404);
});

test('a long record makes a hundred pages while the server goes on answering', async () => {
  const job = await openTestJob(server, SHIPPED_SENSORS[0]!.id);
  // Of the weather: they fill the pages, and weigh nothing.
  const names = Array.from({ length: 2600 }, (_, i) => `barometer ${i}`);
  for (let i = 0; i < names.length; i += 200)
    await Promise.all(names.slice(i, i + 200).map((enteredText) => air(job.id, { enteredText })));
  let made = false;
  const report = pdf(job.id).finally(() => (made = true));
  const waits: number[] = [];
  while (!made) {
    const before = performance.now();
    await server.call('GET', '/health');
    waits.push(performance.now() - before);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  const { pages } = await report;
  expect(pages.length).toBeGreaterThanOrEqual(100);
  const text = pages.join(' ');
  for (const name of [names[0]!, names[1300]!, names.at(-1)!]) expect(text).toContain(name);
  expect(pages.every((page, i) => page.includes(`page ${i + 1} of ${pages.length}`))).toBe(true);
  // Many answers came meanwhile: nobody waited for the report.
  expect(waits.length).toBeGreaterThan(10);
});

test('a picture that only begins like one spoils no report, and is said', async () => {
  const { revision, name, address } = (await server.call('GET', '/workshop')).body as Workshop;
  const picture = `data:image/png;base64,iVBORw0KGgo${'A'.repeat(400)}`;
  expect(await server.call('PUT', '/workshop', { name, address, picture, revision })).toMatchObject({
    status: 200,
  });
  const { pages } = await pdf((await openTestJob(server, SHIPPED_SENSORS[0]!.id)).id);
  expect(pages[0]).toContain('The picture of the workshop could not be read, and is left out');
  expect(pages[0]).toContain('Nothing was read.');
});

test('a report for nobody, and of no job, is refused with what to do', async () => {
  const job = await openTestJob(server, SHIPPED_SENSORS[0]!.id);
  expect(await server.call('GET', `/jobs/${job.id}/report.pdf?timeZone=Moon/Sea`)).toMatchObject({
    status: 400,
  });
  expect(await server.call('GET', `/jobs/${v7()}/report.pdf`)).toMatchObject({ status: 404 });
  expect(await server.call('GET', '/jobs/seven/report.pdf')).toMatchObject({ status: 400 });
});
