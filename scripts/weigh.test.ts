import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { caseFileOf, jobSheet, lanesOf } from '@lettura/contract';
import { weighJob, type JobWeighing } from '@lettura/core/judge/weighing';
import { afterAll, expect, test } from 'vitest';
import { EXAMPLE_PROFILE } from '../core/judge/checks/exampleCase.ts';
import { inWords } from '@lettura/words';

const folder = mkdtempSync(join(tmpdir(), 'lettura-weigh-'));
afterAll(() => rmSync(folder, { recursive: true }));

/** As on a command line, in the folder of the project. */
function weigh(...given: string[]) {
  const script = fileURLToPath(new URL('weigh.ts', import.meta.url));
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', script, ...given], {
    cwd: fileURLToPath(new URL('..', import.meta.url)),
    encoding: 'utf8',
  });
  return { status, stdout, stderr };
}

function fileWith(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

const id = (n: number) => `01935a00-0000-7000-8000-${String(n).padStart(12, '0')}`;
const wire = (n: number, lane: string, place: string, volts: number) => ({
  id: id(100 + n),
  jobId: id(1),
  takenAt: `2026-11-24T08:00:0${n}.000Z`,
  enteredText: String(volts),
  kind: 'wire',
  state: { engine: 'koeo', plug: 'connected' },
  lane,
  place,
  volts,
});

/** A reference that leaves the unit and does not arrive. */
const JOB = {
  job: {
    id: id(1),
    vehicleId: id(2),
    sensorId: id(3),
    complaint: 'No power',
    codes: ['P0107'],
    history: '',
    revision: 1,
    openedAt: '2026-11-24T08:00:00.000Z',
  },
  vehicle: { id: id(2), name: 'Brill P4' },
  sensor: {
    id: id(3),
    lineageId: id(3),
    version: 1,
    name: 'Corvel MS-3',
    family: 'manifold-pressure',
    source: 'Invented for the demo',
    notes: '',
    profile: EXAMPLE_PROFILE,
    pins: [
      { terminal: '1', wire: 'reference', colour: 'grey' },
      { terminal: '2', wire: 'return', colour: 'brown' },
      { terminal: '3', wire: 'signal', colour: 'yellow' },
    ],
  },
  readings: [
    wire(1, 'reference', 'plug', 0.021),
    wire(2, 'reference', 'unit', 4.99),
    wire(3, 'reference', 'connector', 4.98),
  ],
  instruments: [],
  verdicts: [],
  recordings: [],
};

test('a job saved to a file is weighed to the same verdict, causes and next readings as on the screen', () => {
  const { status, stdout, stderr } = weigh(fileWith('job.json', JSON.stringify(JOB)));
  expect(stderr).toBe('');
  expect(status).toBe(0);
  const said = JSON.parse(stdout) as JobWeighing;
  const sheet = jobSheet.parse(JOB);
  const here = inWords(weighJob(caseFileOf(sheet), lanesOf(sheet.sensor)));
  expect(said).toEqual(JSON.parse(JSON.stringify(here)));
  expect(said.stage).toBe('reasons');
  expect(said.causes[0]).toMatchObject({ cause: 'wire reference:second', class: 'wire' });
  expect(said.causes.reduce((sum, { share }) => sum + share, 0)).toBeLessThanOrEqual(1);
  expect(said.next.length).toBeGreaterThan(0);
});

test.each([
  ['no file is named', [], /^Give the file of a job/u],
  ['the file is not there', [join(folder, 'none.json')], /cannot be read: give the path/u],
  ['it is not JSON', [fileWith('text.json', 'sig 2.31')], /is not JSON: save the answer/u],
  [
    'it is another JSON',
    [fileWith('other.json', JSON.stringify({ ...JOB, readings: [{ volts: 'much' }] }))],
    /is no job of this product:\n.*readings\.0/su,
  ],
] as const)('where %s, it says what to do and ends with 2', (_what, given, message) => {
  const { status, stdout, stderr } = weigh(...given);
  expect(status).toBe(2);
  expect(stdout).toBe('');
  expect(stderr).toMatch(message);
  expect(stderr).not.toMatch(/ {4}at /u);
});
