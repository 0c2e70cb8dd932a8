import { expect, test } from 'vitest';
import type { PumpPoint } from './pumpPoint.ts';
import { noResponse } from './index.ts';

const step = (
  volts: number | undefined,
  middle: number,
  judged?: PumpPoint['judged'],
): Pick<PumpPoint, 'expected' | 'reading' | 'judged'> => ({
  judged,
  expected: { of: 'volts', lowest: middle - 0.05, highest: middle + 0.05 } as PumpPoint['expected'],
  reading: volts === undefined ? undefined : ({ kind: 'wire', volts } as PumpPoint['reading']),
});

test('three steps that should move the signal, and it stands still: no response', () => {
  expect(noResponse([step(2.95, 4), step(2.94, 3.4), step(undefined, 3), step(2.96, 2.9)])).toEqual({
    steps: 3,
    lowestVolts: 2.94,
    highestVolts: 2.96,
    expectedVolts: expect.closeTo(1.1, 9),
  });
});

test('two steps show no rule, a moving signal responds, and steps too near each other say nothing', () => {
  expect(noResponse([step(2.95, 4), step(2.95, 3.4)])).toBeUndefined();
  expect(noResponse([step(4, 4), step(3.9, 3.4), step(2.95, 2.9)])).toBeUndefined();
  expect(noResponse([step(2.95, 3), step(2.95, 2.95), step(2.95, 2.9)])).toBeUndefined();
});

test('a signal on a rail is the circuit’s matter, and says nothing of the pump', () => {
  const low = { ok: false, problem: { code: 'circuit-low' } } as NonNullable<PumpPoint['judged']>;
  expect(noResponse([4, 3.4, 2.9].map((middle) => step(0.01, middle, low)))).toBeUndefined();
});
