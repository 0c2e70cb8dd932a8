import { expect, test } from 'vitest';
import { laid, pointed } from './rulers.ts';

test('the first point lays A, the second B, and every further one takes the nearer along', () => {
  let rulers = pointed([], 3);
  expect(rulers).toEqual([3]);
  rulers = pointed(rulers, 7);
  expect(rulers).toEqual([3, 7]);
  expect(pointed(rulers, 4)).toEqual([4, 7]);
  expect(pointed(rulers, 9)).toEqual([3, 9]);
});

test('a typed moment moves its own ruler, and the only one there is is A', () => {
  expect(laid([3, 7], 1, 5)).toEqual([3, 5]);
  expect(laid([3, 7], 0, 8)).toEqual([8, 7]);
  expect(laid([], 1, 5)).toEqual([5]);
});
