import { say } from '@lettura/core/measure/message';
import { expect, test } from 'vitest';
import { z } from 'zod';
import { inWords } from '@lettura/words';
import { refusal, refusalsOf } from './index.ts';

const told = (schema: z.ZodType, given: unknown): string => {
  const read = schema.safeParse(given);
  return read.success
    ? ''
    : refusalsOf(read.error)
        .map(({ what }) => inWords(what))
        .join(' ');
};
const entry = z.strictObject({ name: z.string().min(1).max(5), kind: z.enum(['meter', 'gauge']) });

test.each<[string, z.ZodType, unknown, string]>([
  ['nothing', z.number(), undefined, 'This is missing.'],
  ['another sort', z.number(), 'two', 'This should be a number.'],
  ['a half', z.int(), 1.5, 'This should be a whole number.'],
  ['too much', z.number().max(2000), 3000, 'This should be at most 2,000.'],
  ['too little', z.array(z.number()).min(2), [1], 'This should be at least 2 entries long.'],
  ['a long name', z.string().max(5), 'longer', 'This should be at most 5 characters long.'],
  ['an empty one', z.string().min(1), '', 'This is empty.'],
  ['no choice', entry.shape.kind, 'scope', 'This should be “meter”, or “gauge”.'],
  [
    'an entry too many',
    entry,
    { name: 'a', kind: 'meter', colour: 'red' },
    'There is nothing called “colour” here: take it out, or correct its name.',
  ],
  ['no date', z.iso.date(), 'soon', 'This should be a date, such as 2026-03-02.'],
  ['no form', z.union([z.number(), z.boolean()]), 'x', 'This has none of the forms that are possible here.'],
  ['NaN', z.number(), NaN, 'This should be a number.'],
])('%s is told in plain words', (_what, schema, given, words) => expect(told(schema, given)).toBe(words));

test('a message of a schema’s own goes before', () =>
  expect(told(z.string().min(1, refusal(say('refusal.give-sensor-name'))), '')).toBe(
    'Give the sensor a name.',
  ));

test('a text that is no code of ours is told as it is, and a code that is none of ours as well', () => {
  expect(told(z.string().min(1, 'Give it a name.'), '')).toBe('Give it a name.');
  expect(told(z.string().min(1, '{"code":7}'), '')).toBe('{"code":7}');
  expect(told(z.string().min(1, '{"code": half'), '')).toBe('{"code": half');
});
