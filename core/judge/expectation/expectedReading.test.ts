import { expect, test } from 'vitest';
import type { MachineState, Target } from '../../machine/places/index.ts';
import { MPX4250A, type SensorProfile } from '../../measure/transfer/index.ts';
import { expectedReading, whyNoExpectation } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const profile: SensorProfile = {
  ...MPX4250A,
  tolerance: { form: 'plus-minus', plusMinus: 3 },
  bias: 'pull-up',
};
const ambient = { pressureKpaAbs: 100, expandedUncertaintyKpa: 0, source: 'barometer' as const };
const context = { family: 'manifold-pressure' as const, profile, ambient, referenceVolts: 5 };
const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const signal: Target = { kind: 'wire', lane: 'signal', place: 'plug' };

test('with the engine stopped the signal shows ambient: 5·(0.004·100 − 0.04) = 1.80 V, ±3 kPa · 20 mV', () => {
  const expected = coded(expectedReading(signal, koeo, context));
  expect(expected?.lowest).toBeCloseTo(1.74, 9);
  expect(expected?.highest).toBeCloseTo(1.86, 9);
  expect(expected?.reason).toBe(
    'expectation.reason{reason: families.engine-stopped-manifold-holds-ambient{ambient: 100.0 kPa}}',
  );
});

test('at idle the band is that of 18 to 23 inHg of vacuum at sea level (common practice)', () => {
  const expected = coded(
    expectedReading({ kind: 'gauge', tap: 'sensor-hose' }, { ...koeo, engine: 'idle' }, context),
  );
  expect(expected?.lowest).toBeCloseTo(101.325 - 23 * 3.386389, 3);
  expect(expected?.highest).toBeCloseTo(101.325 - 18 * 3.386389, 3);
});

test('the reference is expected at 4.9 to 5.1 V and the return within 50 mV (common practice)', () => {
  expect(expectedReading({ kind: 'wire', lane: 'reference', place: 'plug' }, koeo, context)).toMatchObject({
    lowest: 4.9,
    highest: 5.1,
  });
  expect(expectedReading({ kind: 'wire', lane: 'return', place: 'plug' }, koeo, context)?.highest).toBe(0.05);
});

test.each([
  ['pull-up', 4.5, 5.1],
  ['pull-down', -0.05, 0.3],
] as const)('with the plug off a %s input goes to %d … %d V', (bias, lowest, highest) => {
  const unplugged: MachineState = { engine: 'koeo', plug: 'unplugged' };
  expect(expectedReading(signal, unplugged, { ...context, profile: { ...profile, bias } })).toMatchObject({
    lowest,
    highest,
  });
});

test('with the key off nothing feeds the wires', () => {
  expect(expectedReading(signal, { engine: 'key-off', plug: 'connected' }, context)?.highest).toBe(0.05);
});

test('an expectation that cannot be made says why', () => {
  const noAmbient = { ...context, ambient: undefined };
  expect(expectedReading(signal, koeo, noAmbient)).toBeUndefined();
  expect(coded(whyNoExpectation(signal, koeo, noAmbient))).toContain(
    'next: families.give-ambient-pressure-first',
  );
  const unknown = { ...context, profile: { ...profile, bias: 'unknown' as const } };
  const unplugged: MachineState = { engine: 'koeo', plug: 'unplugged' };
  expect(expectedReading(signal, unplugged, unknown)).toBeUndefined();
  expect(coded(whyNoExpectation(signal, unplugged, unknown))).toBe('expectation.way-input-biased-not-known');
});
