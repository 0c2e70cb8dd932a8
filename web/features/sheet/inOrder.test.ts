import { expect, test } from 'vitest';
import { inOrder } from './inOrder.ts';

test('fields may come in any order at any depth, elements may not', () => {
  expect(inOrder({ a: 1, b: { c: [1, { e: 2, d: 3 }], f: null } })).toBe(
    inOrder({ b: { f: null, c: [1, { d: 3, e: 2 }] }, a: 1 }),
  );
  expect(inOrder([1, 2])).not.toBe(inOrder([2, 1]));
  expect(inOrder({ a: undefined })).toBe(inOrder({}));
  expect(inOrder({ a: '1' })).not.toBe(inOrder({ a: 1 }));
});
