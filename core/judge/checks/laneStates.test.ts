import { expect, test } from 'vitest';
import type { Evidence } from '../../record/evidence/index.ts';
import type { Lane, MachineState, Place } from '../../machine/places/index.ts';
import { MPX4250A } from '../../measure/transfer/index.ts';
import { exampleCase } from './exampleCase.ts';
import { laneSegments } from './index.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const statesOf = (lane: Lane, readings: [Place, number, MachineState?][]) => {
  const evidence = readings.map(([place, volts, state = koeo], i): Evidence => ({
    kind: 'wire',
    id: `r${i}`,
    lane,
    place,
    volts,
    state,
  }));
  const segments = laneSegments(exampleCase(evidence, { profile: MPX4250A, ambient: undefined }), lane);
  expect(segments.map(({ from, to }) => `${from}-${to}`)).toEqual(['unit-connector', 'connector-plug']);
  return segments.map(({ state }) => state).join(' ');
};

test('nothing read, nothing known', () => {
  expect(statesOf('reference', [])).toBe('unknown unknown');
});

test('a good loaded reference at the plug proves the whole wire', () => {
  expect(statesOf('reference', [['plug', 4.98]])).toBe('proven proven');
});

test('a reference lost at the plug makes the whole wire suspect, until a reading between says which stretch', () => {
  expect(statesOf('reference', [['plug', 0.02]])).toBe('suspect suspect');
  const lost: [Place, number][] = [
    ['plug', 0.02],
    ['unit', 5],
  ];
  expect(statesOf('reference', [...lost, ['connector', 4.99]])).toBe('proven faulty');
  expect(statesOf('reference', [...lost, ['connector', 0.01]])).toBe('faulty unknown');
});

test('a reference bad already at the unit says nothing about the wire', () => {
  expect(
    statesOf('reference', [
      ['unit', 0.1],
      ['plug', 0.1],
    ]),
  ).toBe('unknown unknown');
});

test('a return read with the plug off carries no current and proves nothing', () => {
  expect(statesOf('return', [['plug', 0, { engine: 'koeo', plug: 'unplugged' }]])).toBe('unknown unknown');
  expect(statesOf('return', [['plug', 0.01]])).toBe('proven proven');
});

test('the signal comes from the plug: what arrives the same further on has passed the wire', () => {
  expect(
    statesOf('signal', [
      ['plug', 2.3],
      ['unit', 2.31],
    ]),
  ).toBe('proven proven');
  expect(
    statesOf('signal', [
      ['plug', 2.3],
      ['connector', 2.3],
      ['unit', 0],
    ]),
  ).toBe('faulty proven');
});

test('signals read in different states are not set beside each other', () => {
  const idle: MachineState = { engine: 'idle', plug: 'connected' };
  expect(
    statesOf('signal', [
      ['plug', 2.3],
      ['unit', 1.1, idle],
    ]),
  ).toBe('unknown unknown');
});
