import type { GaugeTap, Lane, MachineState, Place, ProbePoint } from '../../machine/places/index.ts';
import type { Measurand, PressureBasis } from '../../measure/quantity/index.ts';
import type { GaugeAccuracy, Instrument, MeterAccuracy } from '../../measure/uncertainty/index.ts';

interface Taken {
  id: string;
  state: MachineState;
}
export interface WireReading extends Taken {
  kind: 'wire';
  /** What took it, where that is known; else the workshop's common meter is assumed. */
  meter?: Instrument<MeterAccuracy> | undefined;
  lane: Lane;
  place: Place;
  volts: number;
}
export interface GaugeReading extends Taken {
  kind: 'gauge';
  gauge?: Instrument<GaugeAccuracy> | undefined;
  tap: GaugeTap;
  pressureKpa: number;
  basis: PressureBasis;
}
/** Live data: what the control unit believes, not what is on the wire. */
export interface ScanReading extends Taken {
  kind: 'scan';
  measures: Measurand;
  /** In the measurand's unit. */
  value: number;
  /** Of the display, where the tool's is known; else the standard's. */
  step?: number | undefined;
}
export type Evidence = WireReading | GaugeReading | ScanReading;

/** Volts of one point against another that is not battery negative: a drop along a wire, or across two of them. */
export interface BetweenReading extends Taken {
  kind: 'between';
  from: ProbePoint;
  to: ProbePoint;
  volts: number;
}
export interface OhmsReading extends Taken {
  kind: 'ohms';
  from: ProbePoint;
  to: ProbePoint;
  /** Null for OL. */
  ohms: number | null;
}
/** Whatever can be on record: the plain readings, and those of isolation work. */
export type AnyEvidence = Evidence | BetweenReading | OhmsReading;

/** Taken on the harness as the vehicle has it, at one point: what the checks of a sound circuit can be held against. */
export const isPlain = (reading: AnyEvidence): reading is Evidence =>
  reading.kind !== 'between' &&
  reading.kind !== 'ohms' &&
  reading.state.harness === undefined &&
  reading.state.stimulus?.kind !== 'held';

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
