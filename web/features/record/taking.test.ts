import { expect, test } from 'vitest';
import type { CaptureInfo } from '../live/index.ts';
import { MOST_SAMPLES, Taking } from './taking.ts';

const info = (): CaptureInfo => ({
  id: 'c1',
  jobId: 'j1',
  name: 'Slow full travel',
  startedMs: 0,
  source: 'logger',
  channels: [
    { name: 'Track 1', unit: 'V' },
    { name: 'Track 2', unit: 'V' },
  ],
  uses: ['signal', 'second-signal'],
  marks: [],
  note: '',
  missed: 0,
  ended: false,
});
const samples = (from: number, count: number) =>
  Array.from({ length: count }, (_, i) => ({
    number: from + i + 1,
    atMs: 5000 + 5 * (from + i),
    values: [1 + (from + i) / 100, from + i === 2 ? null : 0.5],
  }));

test('what comes goes to the disk in pieces, each once, and is one recording in the end', () => {
  const taking = new Taking(info());
  expect(taking.nextPiece()).toBeUndefined();
  expect(taking.take(samples(0, 4), 0)).toBe(true);
  const first = taking.nextPiece()!;
  expect(first.number).toBe(1);
  // Row by row: moment, track 1, track 2; what was over its range is a gap.
  expect([...first.rows.subarray(0, 6)]).toEqual([5000, 1, 0.5, 5005, 1.01, 0.5]);
  expect(first.rows[8]).toBeNaN();
  expect(taking.nextPiece()).toBeUndefined();
  taking.take(samples(4, 3), 2);
  expect(taking.nextPiece()?.number).toBe(2);
  const { seconds, channels } = taking.recording();
  expect([...seconds]).toEqual([0, 0.005, 0.01, 0.015, 0.02, 0.025, 0.03]);
  expect(channels.map(({ name }) => name)).toEqual(['Track 1', 'Track 2']);
  expect(channels[0]!.values.at(-1)).toBeCloseTo(1.06, 12);
  expect([...channels[1]!.values].findIndex(Number.isNaN)).toBe(2);
  expect([taking.samples, taking.info.missed]).toEqual([7, 2]);
});

test('a mark stands at the newest sample, counted from the first; before any there is nothing to mark', () => {
  const taking = new Taking(info());
  taking.mark('too early', undefined);
  expect(taking.info.marks).toEqual([]);
  taking.take(samples(0, 101), 0);
  taking.nextPiece();
  taking.mark('At rest', { lowest: 0.9, highest: 1.1 });
  taking.take(samples(101, 100), 0);
  taking.mark('hose off', undefined);
  expect(taking.info.marks).toEqual([
    { atSeconds: 0.5, words: 'At rest', expectedVolts: { lowest: 0.9, highest: 1.1 } },
    { atSeconds: 1, words: 'hose off' },
  ]);
  for (let i = 0; i < 300; i++) taking.mark('again', undefined);
  expect(taking.info.marks).toHaveLength(200);
});

test('a recording does not grow without end, and says so', () => {
  const taking = new Taking(info());
  const many = samples(0, 100_000);
  for (let i = 0; i < MOST_SAMPLES / many.length; i++) {
    expect(taking.take(many, 0)).toBe(true);
    taking.nextPiece();
  }
  expect(taking.take(samples(0, 1), 0)).toBe(false);
  expect(taking.samples).toBe(MOST_SAMPLES);
});

test('what has ended stays ended, whatever is said of it afterwards', () => {
  const taking = new Taking(info());
  taking.say({ name: 'Snap', note: 'cold' });
  expect(taking.info).toMatchObject({ name: 'Snap', note: 'cold', ended: false });
  taking.end();
  taking.say({ name: 'Snap', note: 'cold, again' });
  expect(taking.info).toMatchObject({ note: 'cold, again', ended: true });
});
