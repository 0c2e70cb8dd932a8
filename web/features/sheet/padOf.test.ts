import type { Reading } from '@lettura/contract';
import type { MachineState, Target } from '@lettura/core/machine/places';
import { MPX4250A } from '@lettura/core/measure/transfer';
import { expect, test } from 'vitest';
import { exampleCase } from '../../../core/judge/checks/exampleCase.ts';
import { padIn } from './padOf.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const idle: MachineState = { engine: 'idle', plug: 'connected' };
const signal: Target = { kind: 'wire', lane: 'signal', place: 'plug' };
const units = { absolute: 'kPa', vacuum: 'inHg' } as const;
type Standing = Exclude<Reading, { kind: 'withdrawal' }>;
const taken = (id: string, state: MachineState, volts: number): Standing => ({
  id,
  jobId: 'job',
  kind: 'wire',
  takenAt: '2026-11-24T08:00:00.000Z',
  enteredText: '',
  state,
  lane: 'signal',
  place: 'plug',
  volts,
});
const caseFile = exampleCase([], { profile: MPX4250A });
const pad = (standing: Standing[], target: Target = signal, state = koeo) =>
  padIn({ standing, caseFile, unsentIds: new Set(['unsent']) }, target, state, units);

test('before a reading a pad says what to expect', () => {
  // By hand: 4.9 and 5.1·(0.004·100 − 0.04) = 1.76 and 1.84 V, since nobody read the reference, ± √(3.45² + 0.3²) kPa · 20 mV = 69 mV.
  expect(pad([])).toMatchObject({ expected: '1.70 to 1.91 V', value: undefined });
  expect(pad([]).label).toBe('Signal at the sensor plug: expect 1.70 to 1.91 V');
});

test('the newest reading in the present state is pinned, with how it fits; another state’s stays in sight', () => {
  const { value, fit, elsewhere, label } = pad([
    taken('a', koeo, 1.6),
    taken('b', koeo, 1.81),
    taken('c', idle, 0.4),
  ]);
  expect({ value, fit, elsewhere }).toEqual({
    value: '1.81 V',
    fit: 'as-expected',
    elsewhere: '400 mV idle',
  });
  expect(label).toContain('as expected; 400 mV idle');
});

test('a reading of another state does not answer for this one', () => {
  expect(pad([taken('c', idle, 0.4)])).toMatchObject({
    value: undefined,
    expected: '1.70 to 1.91 V',
    elsewhere: '400 mV idle',
  });
});

test('a reading that the server has not confirmed is marked', () => {
  expect(pad([taken('unsent', koeo, 1.8)]).unsent).toBe(true);
});

test('a gauge is expected in vacuum, live data in absolute pressure', () => {
  expect(pad([], { kind: 'gauge', tap: 'manifold' }, idle)).toMatchObject({
    caption: 'Gauge at the manifold',
    expected: '17.5 to 22.7 inHg vac', // 18 to 23 inHg less the 0.39 inHg that this barometer is below sea level, ±0.09
  });
  expect(pad([], { kind: 'scan' }, idle).expected).toBe('20 to 44 kPa abs');
});
