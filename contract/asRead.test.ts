import { v7 } from 'uuid';
import { expect, test } from 'vitest';
import { z } from 'zod';
import { asRead, jobSheet, newReading, reading } from './index.ts';

const wire = {
  id: v7(),
  jobId: v7(),
  kind: 'wire',
  takenAt: '2026-01-02T03:04:05.006Z',
  enteredText: 'sig 2.31',
  state: { engine: 'koeo', plug: 'connected' },
  lane: 'signal',
  place: 'plug',
  volts: 2.31,
};

test('a field that was added later is refused where it is written, and passed over where it is read', () => {
  const later = { ...wire, mood: 'good', state: { ...wire.state, weather: 'rain' } };
  expect(newReading.safeParse(later).success).toBe(false);
  expect(asRead(reading).parse(later)).toEqual(wire);
});

test('what is on record past a newer limit is read all the same', () => {
  const beyond = { ...wire, volts: 600, enteredText: 'x'.repeat(500) };
  expect(newReading.safeParse(beyond).success).toBe(false);
  expect(asRead(reading).parse(beyond)).toEqual(beyond);
});

test.each([
  ['a kind that nobody knows', { kind: 'dream' }],
  ['a value that is no number', { volts: '2.31' }],
  ['a wire that no sensor has', { lane: 'telephone' }],
  ['no state', { state: undefined }],
])('%s is not read', (_what, change) => {
  expect(asRead(reading).safeParse({ ...wire, ...change }).success).toBe(false);
});

test('every part of a whole job is read as loosely', () => {
  const keys = (schema: z.ZodType): string[] =>
    schema instanceof z.ZodObject
      ? [
          schema.def.catchall ? 'strict' : 'loose',
          ...Object.values(schema.shape).flatMap((one) => keys(one as z.ZodType)),
        ]
      : 'def' in schema && 'innerType' in schema.def
        ? keys((schema.def as unknown as { innerType: z.ZodType }).innerType)
        : schema instanceof z.ZodArray
          ? keys(schema.element as z.ZodType)
          : schema instanceof z.ZodUnion
            ? schema.options.flatMap((one) => keys(one as z.ZodType))
            : [];
  expect(keys(jobSheet)).toContain('strict');
  const read = keys(asRead(jobSheet));
  expect(read.length).toBe(keys(jobSheet).length);
  expect(read).not.toContain('strict');
});
