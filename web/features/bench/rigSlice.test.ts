import { expect, test } from 'vitest';
import { isClear, rigChanged, rigCleared, rigSlice, selectRig } from './rigSlice.ts';

const { reducer } = rigSlice;
const start = () => reducer(undefined, { type: 'start' });
const rigOf = (rig: ReturnType<typeof start>, jobId = 'job') => selectRig(jobId)({ rig });

test('nothing is attached at first, on no job', () => expect(isClear(rigOf(start()))).toBe(true));

test.each([
  { attachments: [{ kind: 'test-light', from: 'battery-positive', to: 'battery-negative' }] },
  { neighboursOff: [0] },
  { wiggled: true },
  { positionPercent: 0 },
] as const)('%j has to be cleared before a reading is taken for the record', (change) => {
  const rig = reducer(start(), rigChanged({ jobId: 'job', change: structuredClone(change) as object }));
  expect(isClear(rigOf(rig))).toBe(false);
  expect(isClear(rigOf(rig, 'other'))).toBe(true);
  expect(isClear(rigOf(reducer(rig, rigCleared('job'))))).toBe(true);
});

test('one change leaves the others as they are', () => {
  const wiggled = reducer(start(), rigChanged({ jobId: 'job', change: { wiggled: true } }));
  const held = reducer(wiggled, rigChanged({ jobId: 'job', change: { positionPercent: 40 } }));
  expect(rigOf(held)).toMatchObject({ wiggled: true, positionPercent: 40 });
});
