import type { Reading } from '@lettura/contract';
import { v7 } from 'uuid';
import { expect, test } from 'vitest';
import { fromRow } from '../readings/readingRow.ts';
import { oldDatabase } from './oldDatabase.ts';
import { readingTable } from './schema.ts';

const STATE = { engine_state: 'koeo', plug_state: 'connected' };
const state = { engine: 'koeo', plug: 'connected' };
const pump = { kind: 'pump', kpaAboveAmbient: -20 };
const jumper = {
  attachments: [{ kind: 'jumper', from: { lane: 'signal', place: 'plug' }, to: 'battery-negative' }],
  neighboursOff: [0],
  wiggled: false,
};
const [from, to] = [{ lane: 'return', place: 'plug' }, 'battery-negative'];

/** By the migration that first knew it: the columns of that time, and the reading that they are. */
const LINES: [since: string, columns: Record<string, unknown>, reading: Record<string, unknown>][] = [
  [
    '0000',
    { kind: 'wire', ...STATE, lane: 'signal', place: 'plug', volts: 0.1 + 0.2 },
    { state, lane: 'signal', place: 'plug', volts: 0.1 + 0.2 },
  ],
  [
    '0000',
    { kind: 'scan', ...STATE, pressure_kpa: 47, pressure_basis: 'absolute' },
    { state, measures: 'absolute-pressure', value: 47 },
  ],
  [
    '0000',
    { kind: 'ambient', ambient: { source: 'barometer', stationKpaAbs: 100.9 } },
    { ambient: { source: 'barometer', stationKpaAbs: 100.9 } },
  ],
  [
    '0002',
    {
      kind: 'gauge',
      ...STATE,
      tap: 'manifold',
      pressure_kpa: 55.6,
      pressure_basis: 'vacuum',
      stimulus: pump,
    },
    { state: { ...state, stimulus: pump }, tap: 'manifold', pressureKpa: 55.6, basis: 'vacuum' },
  ],
  [
    '0002',
    { kind: 'scan', ...STATE, measures: 'position', live_value: 12.5 },
    { state, measures: 'position', value: 12.5 },
  ],
  [
    '0003',
    {
      kind: 'between',
      ...STATE,
      from_point: from,
      to_point: JSON.stringify(to),
      volts: -0.136,
      harness: jumper,
    },
    { state: { ...state, harness: jumper }, from, to, volts: -0.136 },
  ],
  [
    '0003',
    {
      kind: 'ohms',
      engine_state: 'key-off',
      plug_state: 'unplugged',
      from_point: from,
      to_point: JSON.stringify(to),
      ohms: null,
    },
    { state: { engine: 'key-off', plug: 'unplugged' }, from, to, ohms: null },
  ],
  ['0006', { kind: 'observation', observation: 'hose', holds: false }, { observation: 'hose', holds: false }],
];

test.each([
  ['0001_append_only', '0000'],
  ['0004_recordings', '0003'],
  ['0007_starting', '0006'],
  ['0010_revisions', '0006'],
])('a database of %s keeps every line of its record as it was', async (version, newest) => {
  const { db, pool, jobId, insert, bringUpToDate } = await oldDatabase(version);
  const lines = LINES.filter(([since]) => since <= newest).map(([, columns, reading]) => ({
    id: v7(),
    columns,
    reading,
  }));
  const takenAt = '2025-03-04T05:06:07.089Z';
  for (const { id, columns } of lines)
    await insert('reading', { id, job_id: jobId, taken_at: takenAt, entered_text: 'as typed', ...columns });
  const [first] = lines;
  const withdrawal = v7();
  await insert('reading', {
    id: withdrawal,
    job_id: jobId,
    kind: 'withdrawal',
    taken_at: takenAt,
    entered_text: '',
    supersedes: first!.id,
  });

  await bringUpToDate();

  const read = new Map(
    (await db.select().from(readingTable)).map((row) => [row.id, { row, reading: fromRow(row) }]),
  );
  expect(read.size).toBe(lines.length + 1);
  for (const { id, columns, reading } of lines) {
    expect(read.get(id)!.reading).toEqual({
      id,
      jobId,
      kind: columns['kind'],
      takenAt,
      enteredText: 'as typed',
      ...reading,
    } as Reading);
    expect(read.get(id)!.row.author).toBe('local');
  }
  expect(read.get(withdrawal)!.reading).toMatchObject({ kind: 'withdrawal', supersedes: first!.id });
  // The record is as append-only as before.
  await expect(pool.query('update reading set entered_text = $1', ['other'])).rejects.toThrow('append-only');
  await pool.end();
});
