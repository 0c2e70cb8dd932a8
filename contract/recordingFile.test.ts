import { inWords } from '@lettura/words';
import { jsonOf } from '@lettura/core/recording/file';
import type { Recording } from '@lettura/core/recording/sweep';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { readRecordingFile } from './index.ts';

const heading = {
  name: 'Slow travel',
  takenAt: '2026-11-25T10:00:00.000Z',
  uses: ['signal', 'other'] as const,
  marks: [{ atSeconds: 0.5, words: 'At rest', expectedVolts: { lowest: 0.9, highest: 1.1 } }],
  note: 'plug cleaned',
};
const written = (recording: Recording) => [...jsonOf(recording, heading)].join('');
const recordingOf = (rows: readonly (readonly [number, number | null, number | null])[]): Recording => ({
  seconds: Float64Array.from(rows, (_, i) => i / 7),
  channels: [1, 2].map((column) => ({
    name: `CH${column}`,
    unit: 'V',
    values: Float64Array.from(rows, (row) => row[column] ?? NaN),
  })),
});

test('every number comes back exactly, with gaps, marks, note and what the channels are', () => {
  const value = fc.option(fc.double({ noNaN: true, noDefaultInfinity: true }));
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.constant(0), value, value), { minLength: 2, maxLength: 50 }), (rows) => {
      const given = recordingOf(rows);
      const read = inWords(readRecordingFile(written(given)));
      expect(read.ok).toBe(true);
      if (!read.ok) return;
      expect(read.value.heading).toMatchObject(heading);
      // JSON has no minus zero; a voltage has none either.
      const plain = (values: Float64Array) => [...values].map((one) => (one === 0 ? 0 : one));
      expect(plain(read.value.recording.seconds)).toEqual(plain(given.seconds));
      given.channels.forEach(({ values }, i) =>
        expect(plain(read.value.recording.channels[i]!.values)).toEqual(plain(values)),
      );
    }),
  );
});

test('a long one is written in pieces that join', () => {
  const rows = Array.from({ length: 25_001 }, (_, i) => [0, i, null] as const);
  const read = inWords(readRecordingFile(written(recordingOf(rows))));
  expect(read.ok && read.value.recording.channels[0]!.values.at(-1)).toBe(25_000);
});

test.each([
  ['cut off', (text: string) => text.slice(0, -20), /may be cut off/u],
  ['of something else', () => '{"format":"lettura-sensors"}', /no recording of this product: “format”/u],
  ['with a channel too short', (text: string) => text.replace('[1,2]', '[1]'), /not all as long/u],
  [
    'whose time goes back',
    (text: string) => text.replace('"seconds":[0,', '"seconds":[9,'),
    /back at sample 2/u,
  ],
])('a file %s is refused with its reason', (_name, spoil, reason) => {
  const text = written(
    recordingOf([
      [0, 1, 3],
      [0, 2, 4],
    ]),
  );
  const read = inWords(readRecordingFile(spoil(text)));
  expect(!read.ok && read.problem.message).toMatch(reason);
});
