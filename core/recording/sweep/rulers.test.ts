import { expect, test } from 'vitest';
import { atRulers } from './atRulers.ts';
import { differenceOf } from './differenceOf.ts';
import { envelopeInTime } from './envelopeInTime.ts';
import { MinMaxPyramid } from './minMaxPyramid.ts';
import type { Recording } from './recording.ts';
import { stretchOf } from './stretch.ts';

// One volt a second, ten samples a second, and one sample that is missing.
const seconds = Float64Array.from({ length: 101 }, (_, i) => i / 10);
const values = Float64Array.from(seconds, (moment, i) => (i === 80 ? NaN : moment));
const pyramid = new MinMaxPyramid(values);
const at = (...moments: number[]) => atRulers(seconds, values, pyramid, moments);

test('a ruler reads the line between two samples, and nothing beside a gap or past an end', () => {
  expect(at(2.34).at[0]).toBeCloseTo(2.34, 12);
  expect(at(3).at).toEqual([3]);
  expect(at(8.05, 11, -1).at).toEqual([NaN, NaN, NaN]);
  expect(at(5)).not.toHaveProperty('between');
});

test('between two rulers stand the samples of both ends, whichever is the earlier', () => {
  for (const moments of [
    [2, 4],
    [4, 2],
  ] as const) {
    const { between } = at(...moments);
    expect(between).toEqual({ lowest: 2, highest: 4, mean: expect.closeTo(3, 12) });
  }
  // By hand: 7.9 and 8.1 are left where 8.0 is missing.
  expect(at(7.9, 8.1).between!.mean).toBeCloseTo(8, 12);
  expect(at(8, 8).between).toBeUndefined();
  expect(at(2.01, 2.04).between).toBeUndefined();
});

const recording: Recording = { seconds, channels: [{ name: 'ramp', unit: 'V', values }] };

test('a stretch has the samples of both ends, counted from its own start', () => {
  const cut = stretchOf(recording, 2, 2.3);
  expect([...cut.seconds].map((moment) => Math.round(10 * moment))).toEqual([0, 1, 2, 3]);
  expect([...cut.channels[0]!.values]).toEqual([2, 2.1, 2.2, 2.3]);
  expect(stretchOf(recording, 2.01, 2.04).seconds.length).toBe(0);
  expect(stretchOf(recording, -5, 50).seconds.length).toBe(101);
  // What is cut out is a copy.
  cut.channels[0]!.values[0] = 99;
  expect(values[20]).toBe(2);
});

test('one recording less another is what lies between them, as wide as a column leaves open', () => {
  const shifted = new MinMaxPyramid(values.map((value) => value - 0.25));
  const view = { fromSeconds: -0.05, toSeconds: 4.95, columns: 50 };
  const { lowest, highest } = differenceOf(
    envelopeInTime(seconds, pyramid, view),
    envelopeInTime(seconds, shifted, view),
  );
  for (let column = 0; column < 49; column++) {
    expect(lowest[column]).toBeCloseTo(0.25, 9);
    expect(highest[column]).toBeCloseTo(0.25, 9);
  }
  const wide = { ...view, columns: 5 };
  const coarse = differenceOf(envelopeInTime(seconds, pyramid, wide), envelopeInTime(seconds, shifted, wide));
  // Ten samples a column, 0.9 V from the first to the last.
  expect(coarse.lowest[0]).toBeCloseTo(0.25 - 0.9, 9);
  expect(coarse.highest[0]).toBeCloseTo(0.25 + 0.9, 9);
  const gap = { fromSeconds: 7.96, toSeconds: 8.04, columns: 2 };
  expect([
    ...differenceOf(envelopeInTime(seconds, pyramid, gap), envelopeInTime(seconds, shifted, gap)).lowest,
  ]).toEqual([NaN, NaN]);
});

test('where only the changes were written down, the last one stands until the next', () => {
  const pyramid = new MinMaxPyramid(Float64Array.from([1, 0, 1]));
  const view = { fromSeconds: 0, toSeconds: 10, columns: 10 };
  const changes = envelopeInTime(Float64Array.from([0, 4, 9]), pyramid, view, true);
  expect([...changes.lowest]).toEqual([1, 1, 1, 1, 0, 0, 0, 0, 0, 1]);
  expect([...changes.highest]).toEqual([...changes.lowest]);
  // Up from 2 to 4, down to 8: a third of the time.
  const read = atRulers(Float64Array.from([0, 4, 9]), Float64Array.from([1, 0, 1]), pyramid, [2, 8], true);
  expect(read).toEqual({ at: [1, 0], between: { lowest: 0, highest: 1, mean: 1 / 3 } });
});
