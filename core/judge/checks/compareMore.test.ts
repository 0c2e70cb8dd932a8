import { expect, test } from 'vitest';
import type { Evidence } from '../../record/evidence/index.ts';
import type { MachineState } from '../../machine/places/index.ts';
import { exampleCase } from './exampleCase.ts';
import { beforeAndAfter, trackPairIn } from './index.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
let count = 0;
const wire = (
  lane: 'signal' | 'second-signal' | 'reference' | 'return',
  volts: number,
  state = koeo,
): Evidence => ({
  kind: 'wire',
  id: `w${++count}`,
  lane,
  place: 'plug',
  volts,
  state,
});
const mirrored = {
  family: 'throttle',
  companion: { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false },
} as const;

test('tracks that make up the reference agree; one that is 6 % off disagrees, and it matters', () => {
  const good = [wire('reference', 5), wire('signal', 0.8), wire('second-signal', 4.21)];
  expect(trackPairIn(exampleCase(good, mirrored), koeo)).toMatchObject({
    outcome: 'together',
    comparison: { outcome: 'agree' },
  });
  const bad = [wire('reference', 5), wire('return', 0), wire('signal', 0.8), wire('second-signal', 4.5)];
  const pair = trackPairIn(exampleCase(bad, mirrored), koeo);
  expect(pair?.deviationPercentOfReference).toBeCloseTo(6, 6);
  expect(pair).toMatchObject({ outcome: 'apart', comparison: { outcome: 'disagree' } });
});

test('tracks read in different states are not set beside each other', () => {
  const full: MachineState = { ...koeo, stimulus: { kind: 'full-travel' } };
  const readings = [wire('signal', 0.8), wire('second-signal', 0.7, full)];
  expect(trackPairIn(exampleCase(readings, mirrored), koeo)).toBeUndefined();
  expect(trackPairIn(exampleCase(readings, mirrored), full)).toBeUndefined();
});

test('before and after: a point read again in the same state, and only a change beyond the doubt is one', () => {
  const idle: MachineState = { engine: 'idle', plug: 'connected' };
  const readings = [
    wire('reference', 3.1),
    wire('signal', 4.02),
    wire('signal', 1.7, idle),
    wire('reference', 4.98),
    wire('signal', 4.03),
  ];
  const pairs = beforeAndAfter(exampleCase(readings));
  expect(pairs.map(({ before, after }) => [before.id, after.id])).toEqual([
    [readings[0]?.id, readings[3]?.id],
    [readings[1]?.id, readings[4]?.id],
  ]);
  expect(pairs[0]?.comparison).toMatchObject({ outcome: 'disagree' });
  expect(pairs[0]?.comparison.difference).toBeCloseTo(1.88, 9);
  expect(pairs[1]?.comparison.outcome).toBe('agree');
});
