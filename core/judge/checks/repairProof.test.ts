import { expect, test } from 'vitest';
import type { Evidence } from '../../record/evidence/index.ts';
import { IDLE, wire } from '../weighing/exampleWeighing.ts';
import { exampleCase } from './exampleCase.ts';
import { repairProof } from './index.ts';

const proof = (before: Evidence[], after: Evidence[]) => repairProof(exampleCase(before), exampleCase(after));
const reference = (volts: number) => wire('reference', 'plug', volts);
const signal = (volts: number, state = undefined as typeof IDLE | undefined) =>
  wire('signal', 'plug', volts, state);

// 4.00 V at 100 kPa is right with the engine stopped.
test('what was off, read again under the same state and now as expected, proves the repair', () => {
  const { outcome, rows, newlyOff } = proof([reference(5), signal(4.6)], [signal(4.01)]);
  expect(outcome).toBe('proven');
  expect(newlyOff).toEqual([]);
  expect(
    rows.map(({ before, beforeFit, after, afterFit }) => [
      before.kind,
      beforeFit,
      after?.id !== undefined,
      afterFit,
    ]),
  ).toEqual([
    ['wire', 'as-expected', false, undefined],
    ['wire', 'above', true, 'as-expected'],
  ]);
  expect(rows[1]!.expectation).toMatchObject({ of: 'volts' });
});

test('in another state it is not the same test', () => {
  expect(proof([signal(4.6)], [signal(1.66, IDLE)]).outcome).toBe('not-shown');
  expect(proof([signal(4.6), signal(2.9, IDLE)], [signal(4.0)]).outcome).toBe('not-shown');
  expect(proof([signal(4.6), signal(2.9, IDLE)], [signal(4.0), signal(1.4, IDLE)]).outcome).toBe('proven');
});

test('what is still off proves that it was not repaired, whatever else came right', () => {
  expect(proof([reference(3), signal(4.6)], [reference(5), signal(4.6)]).outcome).toBe('still-off');
  // Only the newest repeat counts.
  expect(proof([signal(4.6)], [signal(4.6), signal(4.0)]).outcome).toBe('proven');
  expect(proof([signal(4.6)], [signal(4.0), signal(4.6)]).outcome).toBe('still-off');
});

test('something off that was not before is a second fault, or made by the work', () => {
  const bad = signal(2.9, IDLE);
  const { outcome, newlyOff } = proof([reference(5), signal(4.6)], [signal(4.0), bad]);
  expect(outcome).toBe('something-else-off');
  expect(newlyOff.map(({ id }) => id)).toEqual([bad.id]);
  // Read again since and right, it is no longer.
  expect(proof([reference(5), signal(4.6)], [signal(4.0), bad, signal(1.4, IDLE)]).outcome).toBe('proven');
});

test('where nothing was off before, nothing can be shown to have come right', () => {
  expect(proof([reference(5), signal(4)], [signal(4)]).outcome).toBe('nothing-was-off');
  expect(proof([], [signal(4)]).outcome).toBe('nothing-was-off');
});

test('what its meter cannot tell from right was not off', () => {
  expect(proof([reference(4.885)], [reference(5)]).outcome).toBe('nothing-was-off');
});

test('what cannot be judged yet is not said to be right, and why', () => {
  const before = [signal(2.9, IDLE), signal(4.6)];
  const noAmbient = exampleCase([signal(4)], { ambient: undefined });
  const { outcome, rows } = repairProof(exampleCase(before), noAmbient);
  expect(outcome).toBe('not-shown');
  for (const { expectation, whyNone } of rows) expect(expectation === undefined).toBe(whyNone !== undefined);
  expect(rows.some(({ after, afterFit, whyNone }) => after && !afterFit && whyNone)).toBe(true);
});
