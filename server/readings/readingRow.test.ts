import type { Reading } from '@lettura/contract';
import { ENGINE_STATES, GAUGE_TAPS, LANES, PLACES, PLUG_STATES } from '@lettura/core/machine/places';
import { PRESSURE_BASES } from '@lettura/core/measure/quantity';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { readingTable } from '../db/schema.ts';
import { fromRow, toRow } from './readingRow.ts';

const uuid = fc.uuid({ version: 7 });
const common = {
  id: uuid,
  jobId: uuid,
  takenAt: fc
    .date({ min: new Date('2020-01-01'), max: new Date('2040-01-01'), noInvalidDate: true })
    .map((date) => date.toISOString()),
  enteredText: fc.string({ maxLength: 40 }),
};
const point = fc.oneof(
  fc.constantFrom('battery-negative' as const, 'battery-positive' as const),
  fc.record({ lane: fc.constantFrom(...LANES), place: fc.constantFrom(...PLACES, 'pin' as const) }),
);
const attachment = fc.oneof(
  fc.record({
    kind: fc.constantFrom('jumper' as const, 'meter' as const, 'test-light' as const),
    from: point,
    to: point,
  }),
  fc.record({
    kind: fc.constant('voltage-source' as const),
    at: point,
    volts: fc.double({ min: 0, max: 5, noNaN: true }),
  }),
);
const state = fc.record(
  {
    engine: fc.constantFrom(...ENGINE_STATES),
    plug: fc.constantFrom(...PLUG_STATES),
    harness: fc.record({
      attachments: fc.array(attachment, { maxLength: 3 }),
      neighboursOff: fc.array(fc.nat(3), { maxLength: 2 }),
      wiggled: fc.boolean(),
    }),
  },
  { requiredKeys: ['engine', 'plug'] },
);
const kpa = fc.double({ min: 0, max: 1000, noNaN: true });
const reading: fc.Arbitrary<Reading> = fc.oneof(
  fc.record({
    ...common,
    kind: fc.constant('wire' as const),
    state,
    lane: fc.constantFrom(...LANES),
    place: fc.constantFrom(...PLACES),
    volts: fc.double({ min: -30, max: 60, noNaN: true }),
  }),
  fc.record({
    ...common,
    kind: fc.constant('between' as const),
    state,
    from: point,
    to: point,
    volts: fc.double({ min: -30, max: 60, noNaN: true }),
  }),
  fc.record({
    ...common,
    kind: fc.constant('ohms' as const),
    state,
    from: point,
    to: point,
    ohms: fc.option(fc.double({ min: 0, max: 1e9, noNaN: true }), { nil: null }),
  }),
  fc.record({
    ...common,
    kind: fc.constant('gauge' as const),
    state,
    tap: fc.constantFrom(...GAUGE_TAPS),
    pressureKpa: kpa,
    basis: fc.constantFrom(...PRESSURE_BASES),
  }),
  fc.record({
    ...common,
    kind: fc.constant('scan' as const),
    state,
    measures: fc.constant('absolute-pressure' as const),
    value: kpa,
  }),
  fc.record({
    ...common,
    kind: fc.constant('ambient' as const),
    ambient: fc.record({ source: fc.constant('barometer' as const), stationKpaAbs: kpa }),
  }),
  fc.record({ ...common, kind: fc.constant('withdrawal' as const), supersedes: uuid }),
);

/** What the database gives back for what it was given: columns that were left out are null. */
function stored(row: typeof readingTable.$inferInsert): typeof readingTable.$inferSelect {
  const given = row as Record<string, unknown>;
  const columns = Object.keys(readingTable).filter((name) => !name.startsWith('enableRLS'));
  const all = Object.fromEntries(columns.map((name) => [name, given[name] ?? null]));
  return { ...all, sequence: 1, recordedAt: new Date() } as typeof readingTable.$inferSelect;
}

test('any reading survives its row unchanged', () => {
  fc.assert(
    fc.property(reading, (one) => {
      expect(fromRow(stored(toRow(one)))).toEqual(one);
    }),
  );
});

test('a correction keeps the name of what it replaces', () => {
  fc.assert(
    fc.property(reading, uuid, (one, replaced) => {
      const correction = { ...one, supersedes: replaced };
      expect(fromRow(stored(toRow(correction)))).toMatchObject({ supersedes: replaced });
    }),
  );
});

test('a row that lacks its value is damage, and is said to be', () => {
  const wire = { state: { engine: 'koeo', plug: 'connected' }, lane: 'signal', place: 'plug' } as const;
  const row = stored({
    id: 'x',
    jobId: 'y',
    kind: 'wire',
    takenAt: new Date(),
    enteredText: '',
    payload: wire,
  });
  expect(() => fromRow(row)).toThrow('Reading x lacks the volts of its kind, wire.');
  const unknown = stored({ ...row, kind: 'dream' as never });
  expect(() => fromRow(unknown)).toThrow('Reading x lacks the kind of its kind, dream.');
});
