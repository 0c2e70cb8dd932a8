import { beforeEach, expect, test, vi } from 'vitest';
import { fakeStorage } from '../../testStorage.ts';
import {
  selectWires,
  terminalForgotten,
  terminalMeasured,
  terminalsCounted,
  wiresRestarted,
  wiresSlice,
  wiresStorage,
} from './wiresSlice.ts';

beforeEach(() => vi.stubGlobal('localStorage', fakeStorage()));
const { reducer } = wiresSlice;
const start = () => reducer(undefined, { type: 'start' });
const measured = (state: ReturnType<typeof start>, value: number, terminal = 0) =>
  reducer(state, terminalMeasured({ jobId: 'job', reading: { terminal, test: 'open-ohms', value } }));
const readings = (wires: ReturnType<typeof start>) => selectWires('job')({ wires }).readings;

test('measured again, the newer value stands; another terminal keeps its own', () => {
  const state = measured(measured(measured(start(), 12), 0.4), 470_000, 2);
  expect(readings(state)).toEqual([
    { terminal: 0, test: 'open-ohms', value: 0.4 },
    { terminal: 2, test: 'open-ohms', value: 470_000 },
  ]);
});

test('OL survives the browser’s storage', () => {
  wiresStorage.save(measured(start(), Infinity), {});
  expect(readings(start())[0]?.value).toBe(Infinity);
});

test('a reading can be taken off, and all of them', () => {
  const state = measured(measured(start(), 5, 0), 6, 1);
  const less = reducer(
    state,
    terminalForgotten({ jobId: 'job', reading: { terminal: 0, test: 'open-ohms' } }),
  );
  expect(readings(less)).toHaveLength(1);
  expect(readings(reducer(state, wiresRestarted('job')))).toEqual([]);
});

test('another number of terminals is another plug: what was read on the first falls away', () => {
  const state = reducer(measured(start(), 5), terminalsCounted({ jobId: 'job', terminals: 6 }));
  expect(selectWires('job')({ wires: state })).toEqual({ terminals: 6, readings: [] });
});

test('what an older version left in the storage is not believed', () => {
  localStorage.setItem('lettura.wires.job', '{"readings":"none"}');
  expect(start()).toEqual({});
});
