import { beforeEach, expect, test, vi } from 'vitest';
import { fakeStorage } from '../../testStorage.ts';
import {
  correctionStarted,
  draftTyped,
  entryDone,
  pointSelected,
  selectInHand,
  sheetSlice,
  sheetStorage,
  stateSet,
} from './sheetSlice.ts';

const { reducer } = sheetSlice;
const jobId = 'job';
const start = () => reducer(undefined, { type: 'start' });
beforeEach(() => vi.stubGlobal('localStorage', fakeStorage()));

test('a new sheet starts at the signal of the plug, key on and engine off', () => {
  expect(selectInHand(jobId)({ sheet: start() })).toMatchObject({
    state: { engine: 'koeo', plug: 'connected' },
    selected: { kind: 'wire', lane: 'signal', place: 'plug' },
    draft: '',
  });
});

test('two jobs do not share what is in hand', () => {
  const sheet = reducer(start(), draftTyped({ jobId, draft: '2.3' }));
  expect(selectInHand(jobId)({ sheet }).draft).toBe('2.3');
  expect(selectInHand('other')({ sheet }).draft).toBe('');
});

test('one part of the state changes without the other', () => {
  const sheet = reducer(start(), stateSet({ jobId, plug: 'unplugged' }));
  expect(selectInHand(jobId)({ sheet }).state).toEqual({ engine: 'koeo', plug: 'unplugged' });
});

test('a correction ends with the entry, and with choosing another point', () => {
  const correcting = reducer(start(), correctionStarted({ jobId, id: 'r1', draft: 'sig 2.3' }));
  expect(selectInHand(jobId)({ sheet: correcting })).toMatchObject({ correcting: 'r1', draft: 'sig 2.3' });
  for (const end of [entryDone(jobId), pointSelected({ jobId, target: { kind: 'scan' } })]) {
    expect(selectInHand(jobId)({ sheet: reducer(correcting, end) }).correcting).toBeUndefined();
  }
});

test('what is in hand survives the page; what cannot be read is left behind', () => {
  sheetStorage.save(reducer(start(), draftTyped({ jobId, draft: 'ref 4.9' })), {});
  expect(sheetStorage.load()[jobId]?.draft).toBe('ref 4.9');
  localStorage.setItem(`lettura.sheet.${jobId}`, '{"draft":7}');
  expect(sheetStorage.load()).toEqual({});
});
