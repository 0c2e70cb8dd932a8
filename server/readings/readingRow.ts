import type { Reading } from '@lettura/contract';
import type { MachineState } from '@lettura/core/machine/places';
import type { readingTable } from '../db/schema.ts';

type Row = typeof readingTable.$inferSelect;

/** A reading as columns: the value of each kind in a column of its own, with its unit in the name. */
export function toRow(reading: Reading): typeof readingTable.$inferInsert {
  const { id, jobId, kind, enteredText, supersedes } = reading;
  const common = { id, jobId, kind, enteredText, supersedes, takenAt: new Date(reading.takenAt) };
  switch (reading.kind) {
    case 'wire':
      return {
        ...common,
        ...stateColumns(reading.state),
        lane: reading.lane,
        place: reading.place,
        volts: reading.volts,
        instrumentId: reading.instrumentId,
      };
    case 'gauge':
      return {
        ...common,
        ...stateColumns(reading.state),
        tap: reading.tap,
        pressureKpa: reading.pressureKpa,
        pressureBasis: reading.basis,
        instrumentId: reading.instrumentId,
      };
    case 'scan':
      return {
        ...common,
        ...stateColumns(reading.state),
        measures: reading.measures,
        liveValue: reading.value,
        instrumentId: reading.instrumentId,
      };
    case 'between':
      return {
        ...common,
        ...stateColumns(reading.state),
        fromPoint: reading.from,
        toPoint: reading.to,
        volts: reading.volts,
        instrumentId: reading.instrumentId,
      };
    case 'ohms':
      return {
        ...common,
        ...stateColumns(reading.state),
        fromPoint: reading.from,
        toPoint: reading.to,
        ohms: reading.ohms,
        instrumentId: reading.instrumentId,
      };
    case 'observation':
      return { ...common, observation: reading.observation, holds: reading.holds };
    case 'ambient':
      return { ...common, ambient: reading.ambient };
    case 'withdrawal':
      return common;
  }
}

export function fromRow(row: Row): Reading {
  const common = {
    id: row.id,
    jobId: row.jobId,
    takenAt: row.takenAt.toISOString(),
    enteredText: row.enteredText,
    ...(row.supersedes ? { supersedes: row.supersedes } : {}),
  };
  switch (row.kind) {
    case 'wire':
      return {
        ...common,
        kind: 'wire',
        state: stateOf(row),
        lane: present(row.lane, row),
        place: present(row.place, row),
        volts: present(row.volts, row),
        ...takenWith(row),
      };
    case 'gauge':
      return {
        ...common,
        kind: 'gauge',
        state: stateOf(row),
        tap: present(row.tap, row),
        pressureKpa: present(row.pressureKpa, row),
        basis: present(row.pressureBasis, row),
        ...takenWith(row),
      };
    case 'scan':
      return {
        ...common,
        kind: 'scan',
        state: stateOf(row),
        measures: row.measures ?? 'absolute-pressure',
        value: present(row.liveValue ?? row.pressureKpa, row),
        ...takenWith(row),
      };
    case 'between':
      return {
        ...common,
        kind: 'between',
        state: stateOf(row),
        from: present(row.fromPoint, row),
        to: present(row.toPoint, row),
        volts: present(row.volts, row),
        ...takenWith(row),
      };
    case 'ohms':
      return {
        ...common,
        kind: 'ohms',
        state: stateOf(row),
        from: present(row.fromPoint, row),
        to: present(row.toPoint, row),
        ohms: row.ohms,
        ...takenWith(row),
      };
    case 'observation':
      return {
        ...common,
        kind: 'observation',
        observation: present(row.observation, row),
        holds: present(row.holds, row),
      };
    case 'ambient':
      return { ...common, kind: 'ambient', ambient: present(row.ambient, row) };
    case 'withdrawal':
      return { ...common, kind: 'withdrawal', supersedes: present(row.supersedes, row) };
  }
}

const stateColumns = ({ engine, plug, stimulus, harness }: MachineState) => ({
  engineState: engine,
  plugState: plug,
  stimulus,
  harness,
});
const stateOf = (row: Row): MachineState => ({
  engine: present(row.engineState, row),
  plug: present(row.plugState, row),
  ...(row.stimulus ? { stimulus: row.stimulus } : {}),
  ...(row.harness ? { harness: row.harness } : {}),
});
const takenWith = ({ instrumentId }: Row) => (instrumentId ? { instrumentId } : {});

/** The table's own check promises these; without one the row is damaged. */
function present<T>(value: T | null, row: Row): T {
  if (value === null) throw new Error(`Reading ${row.id} lacks a column of its kind, ${row.kind}.`);
  return value;
}
