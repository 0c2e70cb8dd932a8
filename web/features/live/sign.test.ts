import { expect, test } from 'vitest';
import { doingOf, signOf, type Doing } from './sign.ts';

const live = { fresh: true, steady: true, value: 2.31, expected: { lowest: 2.24, highest: 2.37 } };

test('a value is lost, moving, or steady in or out of what is expected', () => {
  expect(doingOf(live)).toBe('steady-as-expected');
  expect(doingOf({ ...live, value: 2.71 })).toBe('steady-out-of-band');
  expect(doingOf({ ...live, expected: undefined })).toBe('steady');
  expect(doingOf({ ...live, steady: false })).toBe('moving');
  expect(doingOf({ ...live, fresh: false })).toBe('lost');
  expect(doingOf({ ...live, value: undefined })).toBe('lost');
});

test('a sign is given once when something comes about, and none while it lasts or moves', () => {
  const course: Doing[] = [
    'lost',
    'moving',
    'steady-as-expected',
    'steady-as-expected',
    'moving',
    'steady-out-of-band',
    'lost',
    'lost',
    'moving',
    'steady',
  ];
  const signs = course.map((now, i) => signOf(course[i - 1], now));
  expect(signs).toEqual([
    undefined,
    undefined,
    'steady-as-expected',
    undefined,
    undefined,
    'steady-out-of-band',
    'lost',
    undefined,
    undefined,
    'steady',
  ]);
});
