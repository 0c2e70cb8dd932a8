import {
  isTarget,
  PULSES_KINDS,
  type Lane,
  type MachineState,
  type Place,
  type Spot,
} from '../../machine/places/index.ts';
import type {
  AnyEvidence,
  GaugeReading,
  LiveVoltsReading,
  ScanReading,
  WireReading,
} from './readingKinds.ts';

/** Read at one point, against battery negative or by itself. */
export type Evidence = WireReading | GaugeReading | ScanReading | LiveVoltsReading;

/** What the model of a machine answers for: only such a reading can be foretold, and asked for once more. */
export type Foretold = Extract<AnyEvidence, { kind: Spot['kind'] }>;
/** Whether the model of a machine answers for it. */
export const isForetold = (reading: AnyEvidence): reading is Foretold =>
  isTarget(reading) || ['between', 'ohms', 'engine-flow', ...PULSES_KINDS].includes(reading.kind);

/** Taken on the harness as the vehicle has it, at one point: what the checks of a sound circuit can be held against. */
export const isPlain = (reading: AnyEvidence): reading is Evidence =>
  isTarget(reading) && reading.state.harness === undefined && reading.state.stimulus?.kind !== 'held';

/** The newest reading that answers: readings come in the order they were taken. */
export function latest<T extends Evidence>(
  readings: readonly Evidence[],
  wanted: (reading: Evidence) => reading is T,
): T | undefined;
/** The newest reading of a place in the states that are asked for; undefined where there is none. */
export function latest(
  readings: readonly Evidence[],
  wanted: (reading: Evidence) => boolean,
): Evidence | undefined;
export function latest(
  readings: readonly Evidence[],
  wanted: (reading: Evidence) => boolean,
): Evidence | undefined {
  return readings.findLast(wanted);
}

/** The newest voltage at a place of a wire in the states that are asked for. */
export function latestWire(
  readings: readonly Evidence[],
  lane: Lane,
  place: Place,
  inState: (state: MachineState) => boolean,
): WireReading | undefined {
  return latest(
    readings,
    (reading): reading is WireReading =>
      reading.kind === 'wire' && reading.lane === lane && reading.place === place && inState(reading.state),
  );
}
