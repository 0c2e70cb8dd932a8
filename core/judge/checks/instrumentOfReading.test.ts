import { expect, test } from 'vitest';
import type { Evidence } from '../../record/evidence/index.ts';
import type { MachineState } from '../../machine/places/index.ts';
import type { Instrument, MeterAccuracy } from '../../measure/uncertainty/index.ts';
import { exampleCase } from './exampleCase.ts';
import { findingsIn, laneSegments } from './index.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const coarse: Instrument<MeterAccuracy> = {
  name: 'old meter',
  accuracy: { kind: 'meter', percentOfReading: 5, counts: 5, displayCounts: 2000 },
};
const wire = (
  lane: 'reference' | 'signal' | 'return',
  volts: number,
  place: 'unit' | 'plug' = 'plug',
  meter?: Instrument<MeterAccuracy>,
): Evidence => ({
  kind: 'wire',
  id: `${lane} ${place}`,
  lane,
  place,
  volts,
  state: koeo,
  ...(meter ? { meter } : {}),
});
const outcomes = (...readings: Evidence[]) =>
  Object.fromEntries(
    findingsIn(exampleCase(readings)).findings.map(({ code }) => code.split('=') as [string, string]),
  );

// 4.80 V is 0.10 V too low beyond the usual 0.1 V: the common meter errs by 0.026 V, the old one by 0.29 V.
test('4.80 V of reference is low by a good meter, and not proven low by a coarse one', () => {
  expect(outcomes(wire('reference', 4.8))).toMatchObject({ 'reference-at-plug': 'low' });
  expect(outcomes(wire('reference', 4.8, 'plug', coarse))).toMatchObject({ 'reference-at-plug': 'normal' });
});

// 60 mV: the common meter errs by 0.5 mV there, the old one by 3.5 mV on its 200 mV range.
test('a return is judged by the meter that read it', () => {
  expect(outcomes(wire('return', 0.053))).toMatchObject({ 'return-at-plug': 'raised' });
  expect(outcomes(wire('return', 0.053, 'plug', coarse))).toMatchObject({ 'return-at-plug': 'good' });
});

test('whether the signal arrives depends on both meters, on the lanes as in the findings', () => {
  const good = [wire('signal', 4.0), wire('signal', 3.8, 'unit')];
  const bad = [wire('signal', 4.0, 'plug', coarse), wire('signal', 3.8, 'unit', coarse)];
  expect(outcomes(...good)).toMatchObject({ 'signal-unit-vs-plug': 'differs' });
  expect(outcomes(...bad)).toMatchObject({ 'signal-unit-vs-plug': 'same' });
  const states = (readings: Evidence[]) =>
    laneSegments(exampleCase(readings), 'signal').map(({ state }) => state);
  expect(states(good)).toContain('suspect');
  expect(states(bad)).toEqual(['proven', 'proven']);
});
