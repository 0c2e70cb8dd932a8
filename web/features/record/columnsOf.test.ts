import { expect, test } from 'vitest';
import { LiveBuffer } from '../live/index.ts';
import { columnsOf } from './columnsOf.ts';

const filled = (capacity: number, count: number, valueAt: (i: number) => number | null) => {
  const buffer = new LiveBuffer(2, capacity);
  buffer.push(
    Array.from({ length: count }, (_, i) => ({
      number: i + 1,
      atMs: 1000 + 5 * i,
      values: [valueAt(i), i],
    })),
  );
  return buffer;
};

test('a dropout of one sample in a minute shows in a column, and gaps stay empty', () => {
  const buffer = filled(24_000, 12_000, (i) => (i === 7001 ? 0.02 : i > 9000 && i < 10_000 ? null : 2.5));
  const { lowest, highest } = columnsOf(buffer, 0, { fromMs: 1000, toMs: 61_000 }, 600);
  expect(lowest[Math.floor((7001 * 5) / 100)]).toBe(0.02);
  expect([...lowest].filter((value) => value < 1)).toHaveLength(1);
  expect(highest[Math.floor((9500 * 5) / 100)]).toBeNaN();
  expect(highest[0]).toBe(2.5);
});

test('a ring keeps the newest in their order, in the memory it began with', () => {
  const buffer = filled(100, 1050, (i) => i);
  expect(buffer.length).toBe(100);
  expect([buffer.newestMs, buffer.newest(0), buffer.newest(1)]).toEqual([1000 + 5 * 1049, 1049, 1049]);
  const seen: number[] = [];
  buffer.each(0, 1000 + 5 * 1040, (_atMs, value) => seen.push(value));
  expect(seen).toEqual([1040, 1041, 1042, 1043, 1044, 1045, 1046, 1047, 1048, 1049]);
  const pairs: number[] = [];
  buffer.eachPair(0, 1, 0, (a, b) => pairs.push(a - b));
  expect(pairs).toHaveLength(100);
  expect(new LiveBuffer(1, 10).newest(0)).toBeUndefined();
});
