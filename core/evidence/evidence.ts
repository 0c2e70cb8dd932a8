import type { PressureBasis } from '../quantity/index.ts';

/** The three wires, and where each can be probed. All volts are against battery negative. */
export const LANES = ['reference', 'signal', 'return'] as const;
export type Lane = (typeof LANES)[number];

export const PLACES = ['unit', 'connector', 'plug'] as const;
export type Place = (typeof PLACES)[number];

export const ENGINE_STATES = ['key-off', 'koeo', 'idle', 'held-revs', 'snap-open'] as const;
export type EngineState = (typeof ENGINE_STATES)[number];

export const PLUG_STATES = ['connected', 'unplugged'] as const;
export type PlugState = (typeof PLUG_STATES)[number];

/** Every expectation depends on this, so every reading carries it. */
export interface MachineState {
  engine: EngineState;
  plug: PlugState;
}

/** Where a gauge is teed in: at the sensor's own hose it sees what the sensor gets, at the manifold what the engine makes. */
export const GAUGE_TAPS = ['sensor-hose', 'manifold'] as const;
export type GaugeTap = (typeof GAUGE_TAPS)[number];

export type Target =
  { kind: 'wire'; lane: Lane; place: Place } | { kind: 'gauge'; tap: GaugeTap } | { kind: 'scan' };

interface Taken {
  id: string;
  state: MachineState;
}
export interface WireReading extends Taken {
  kind: 'wire';
  lane: Lane;
  place: Place;
  volts: number;
}
export interface GaugeReading extends Taken {
  kind: 'gauge';
  tap: GaugeTap;
  pressureKpa: number;
  basis: PressureBasis;
}
/** Live data: what the control unit believes, not what is on the wire. */
export interface ScanReading extends Taken {
  kind: 'scan';
  pressureKpaAbs: number;
}
export type Evidence = WireReading | GaugeReading | ScanReading;

export const keyOn = (state: MachineState): boolean => state.engine !== 'key-off';
export const running = (state: MachineState): boolean => keyOn(state) && state.engine !== 'koeo';

/** The newest reading that answers: readings come in the order they were taken. */
export function latest<T extends Evidence>(
  readings: readonly Evidence[],
  wanted: (reading: Evidence) => reading is T,
): T | undefined;
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
