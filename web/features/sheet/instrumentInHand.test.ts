import { newInstrument, type Instrument, type NewInstrument } from '@lettura/contract';
import { expect, test } from 'vitest';
import { instrumentInHand, instrumentsFor, overdueWords, rangeWarning } from './instrumentInHand.ts';
import { pumpAccuracy, pumpInHand } from './pumpInHand.ts';

const ACCURACY = {
  meter: { kind: 'meter', percentOfReading: 0.5, counts: 2, displayCounts: 6000 },
  gauge: { kind: 'gauge', classPercent: 1.6, spanKpa: 100, divisionKpa: 2 },
  'hand-pump': { kind: 'gauge', classPercent: 2.5, spanKpa: 100, divisionKpa: 5 },
  'live-data': { kind: 'live-data', step: 1 },
} as const;
let made = 0;
function instrument(sort: NewInstrument['sort'], over: Partial<NewInstrument> = {}): Instrument {
  const id = `01935a00-0000-7000-8000-${String(++made).padStart(12, '0')}`;
  const range = sort === 'meter' ? { lowest: 0, highest: 60 } : { lowest: -100, highest: 200 };
  const { replaces: _, ...given } = newInstrument.parse({
    id,
    name: `${sort} ${made}`,
    sort,
    accuracy: ACCURACY[sort],
    ...range,
    ...over,
  });
  return { ...given, lineageId: id, version: 1 };
}

const meter = instrument('meter');
const gauge = instrument('gauge');
const pump = instrument('hand-pump');
const live = instrument('live-data');
const old = instrument('gauge', { retired: true });
const all = [meter, gauge, pump, live, old];

test.each([
  ['wire', [meter]],
  ['gauge', [gauge, pump]],
  ['scan', [live]],
] as const)('a %s reading is offered what can take it, and nothing retired', (kind, wanted) =>
  expect(instrumentsFor(kind, all)).toEqual(wanted),
);

test('nothing is in hand until chosen, and what is no longer in use is put down', () => {
  expect(instrumentInHand('gauge', all, {})).toBeUndefined();
  expect(instrumentInHand('gauge', all, { gauge: pump.id })).toBe(pump);
  expect(instrumentInHand('gauge', all, { gauge: old.id })).toBeUndefined();
});

test('a vacuum lies below zero of a gauge', () => {
  const read = (pressureKpa: number, basis: 'vacuum' | 'gauge') =>
    rangeWarning({ kind: 'gauge', tap: 'manifold', pressureKpa, basis, warnings: [] }, gauge);
  expect(read(99, 'vacuum')).toEqual([]);
  expect(read(101, 'vacuum')[0]?.message.values).toEqual({ name: { verbatim: gauge.name } });
  expect(read(199, 'gauge')).toEqual([]);
  expect(read(201, 'gauge')).toHaveLength(1);
});

test('volts and live data are counted as they are', () => {
  const wire = (volts: number) =>
    rangeWarning({ kind: 'wire', lane: 'signal', place: 'plug', volts, warnings: [] }, meter);
  expect(wire(60)).toEqual([]);
  expect(wire(-0.1)).toHaveLength(1);
  expect(rangeWarning({ kind: 'scan', measures: 'air-flow', value: 201, warnings: [] }, live)[0]?.code).toBe(
    'past-instrument-range',
  );
});

test('calibration is good on its last day, and overdue the day after', () => {
  const due = instrument('meter', { calibrationDue: '2026-03-31' });
  expect(overdueWords(due, '2026-03-31')).toBeUndefined();
  expect(overdueWords(due, '2026-04-01')).toContain('was due 2026-03-31');
  expect(overdueWords(meter, '2099-01-01')).toBeUndefined();
});

test('the pump is read on the gauge chosen, else on its own, else on a common one', () => {
  expect(pumpInHand({ instruments: all }, { gauge: gauge.id })).toBe(gauge);
  expect(pumpInHand({ instruments: all }, {})).toBe(pump);
  expect(pumpInHand({ instruments: [gauge] }, {})).toBeUndefined();
  expect(pumpAccuracy(pump)).toEqual({ name: pump.name, accuracy: ACCURACY['hand-pump'] });
  expect(pumpAccuracy(undefined).name).toMatch(/gauge/u);
});
