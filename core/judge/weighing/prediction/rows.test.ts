import { expect, test } from 'vitest';
import { between, isSame, mixed, NO_TOLERANCE } from './rows.ts';
import { BENT_VOLTS, fillRow, QUANTITY_NODES } from './fillRow.ts';

function filled(of: (node: number) => number, tolerance = BENT_VOLTS) {
  const row = new Float64Array(QUANTITY_NODES);
  const solved = new Set<number>();
  fillRow(
    row,
    (node) => {
      solved.add(node);
      return of(node);
    },
    tolerance,
  );
  return { row, solved: solved.size };
}
const farthestOff = (row: Float64Array, of: (node: number) => number) =>
  row.reduce((most, reads, node) => Math.max(most, Math.abs(reads - of(node))), 0);

test('what is straight is solved three times, and what is the same everywhere too', () => {
  const rising = (node: number) => 0.5 + 0.25 * node;
  expect(filled(rising)).toMatchObject({ solved: 3 });
  expect(farthestOff(filled(rising).row, rising)).toBeLessThan(1e-12);
  expect([...filled(() => 4.98).row]).toEqual(new Array(QUANTITY_NODES).fill(4.98));
});

test('a rail bends it wherever it is met, at one end or at both', () => {
  for (let at = 1; at < QUANTITY_NODES; at++) {
    const clipped = (node: number) => Math.min(0.2 * (at + 0.3), 0.2 * node);
    const both = (node: number) => Math.min(2.6, Math.max(0.6, clipped(node)));
    for (const of of [clipped, both]) {
      const { row, solved } = filled(of);
      // Half a step of the rows, at the bend itself.
      expect(farthestOff(row, of)).toBeLessThan(0.06);
      expect(solved).toBeLessThan(QUANTITY_NODES);
    }
  }
});

test('the bow of a loaded track is lines, near enough, and needs no more than its quarters', () => {
  const bow = (node: number) => 0.28 * node - 0.12 * (node / 16) * (1 - node / 16);
  const { row, solved } = filled(bow);
  expect(farthestOff(row, bow)).toBeLessThan(BENT_VOLTS);
  expect(solved).toBeLessThanOrEqual(6);
});

test('ohms that jump to OL stay what they are', () => {
  const ohms = (node: number) => (node > 9 ? Infinity : 1000 + node);
  const { row } = filled(ohms, NO_TOLERANCE);
  expect([...row]).toEqual(Array.from({ length: QUANTITY_NODES }, (_, node) => ohms(node)));
  expect(between(row, 9.4)).toBe(1009);
  expect(between(row, 9.6)).toBe(Infinity);
});

test('between two sizes a row lies between theirs, and one that is the same is the very same', () => {
  const [a, b] = [Float64Array.of(1, 2, Infinity), Float64Array.of(2, 2, 5)].map((reads) => ({ reads }));
  expect([...mixed(a!, b!, 0.25).reads]).toEqual([1.25, 2, Infinity]);
  expect([...mixed(a!, b!, 0.75).reads]).toEqual([1.75, 2, 5]);
  expect(mixed(a!, a!, 0.5)).toBe(a);
  // So does what makers differ by; where only one of them has any, it fades.
  const doubted = { ...b!, doubt: Float64Array.of(0.4, 0, 1) };
  expect([...mixed(a!, doubted, 0.25).doubt!]).toEqual([0.1, 0, 0.25]);
  expect(mixed(a!, b!, 0.25).doubt).toBeUndefined();
  expect(isSame(doubted, b!)).toBe(false);
  expect(isSame(doubted, { ...b!, doubt: Float64Array.of(0.4, 0, 1) })).toBe(true);
});
