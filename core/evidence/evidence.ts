import { sameHarness, type HarnessWork, type ProbePoint } from './harnessWork.ts';
import type { Lane, Place } from './lanes.ts';
import type { Measurand, PressureBasis } from '../quantity/index.ts';
import type { GaugeAccuracy, Instrument, MeterAccuracy } from '../uncertainty/index.ts';

export const ENGINE_STATES = ['key-off', 'koeo', 'idle', 'held-revs', 'snap-open'] as const;
export type EngineState = (typeof ENGINE_STATES)[number];

export const PLUG_STATES = ['connected', 'unplugged'] as const;
export type PlugState = (typeof PLUG_STATES)[number];

/** What is done to the sensor beyond the engine's own state. */
export type Stimulus =
  /** A hand pump on the sensor's port: above ambient, or below it with a minus. */
  | {
      kind: 'pump';
      kpaAboveAmbient: number;
      /** What showed the pressure, where that is known. */
      gauge?: Instrument<GaugeAccuracy> | undefined;
    }
  /** Pedal, throttle or arm held by hand somewhere on its way. */
  | { kind: 'held'; percent: number }
  /** Pedal, throttle or arm moved to its far stop. */
  | { kind: 'full-travel' }
  /** The exhaust-gas valve held open at about 1,500 rpm. */
  | { kind: 'valve-open' };
export type StimulusKind = Stimulus['kind'];

/** Every expectation depends on this, so every reading carries it. */
export interface MachineState {
  engine: EngineState;
  plug: PlugState;
  /** Left out while nothing is done to the sensor. */
  stimulus?: Stimulus | undefined;
  /** Left out while the harness is as the vehicle has it. */
  harness?: HarnessWork | undefined;
}

/** Where a gauge is teed in: at the sensor's own hose it sees what the sensor gets, at the manifold what the engine makes. */
export const GAUGE_TAPS = ['sensor-hose', 'manifold'] as const;
export type GaugeTap = (typeof GAUGE_TAPS)[number];

export type Target =
  { kind: 'wire'; lane: Lane; place: Place } | { kind: 'gauge'; tap: GaugeTap } | { kind: 'scan' };

/** Where a line of the record was read. */
export type Spot = Target | { kind: 'between' | 'ohms'; from: ProbePoint; to: ProbePoint };

/** Where a reading was taken, without what it showed. */
export function spotOf(reading: Spot): Spot {
  switch (reading.kind) {
    case 'wire':
      return { kind: 'wire', lane: reading.lane, place: reading.place };
    case 'gauge':
      return { kind: 'gauge', tap: reading.tap };
    case 'scan':
      return { kind: 'scan' };
    case 'between':
    case 'ohms':
      return { kind: reading.kind, from: reading.from, to: reading.to };
  }
}

/** Read at one point, rather than between two. */
export const isTarget = <T extends { kind: string }>(
  spot: T,
): spot is Exclude<T, { kind: 'between' | 'ohms' }> => spot.kind !== 'between' && spot.kind !== 'ohms';

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

/** What drives the sensor, whatever its plug does. */
export type Drive = Pick<MachineState, 'engine' | 'stimulus'>;

/** A pump on its port and a hand at its arm move the sensor itself, whatever a hose or a linkage would do. */
export const movesSensorItself = ({ stimulus }: Drive): boolean =>
  stimulus?.kind === 'pump' || stimulus?.kind === 'held';

/** The same engine state and the same stimulus: only then is a signal the same value at every point of its wire. */
export const sameDrive = (a: Drive, b: Drive): boolean =>
  a.engine === b.engine && sameStimulus(a.stimulus, b.stimulus);

export const sameStimulus = (a: Stimulus | undefined, b: Stimulus | undefined): boolean => {
  if (a?.kind === 'pump' && b?.kind === 'pump') return a.kpaAboveAmbient === b.kpaAboveAmbient;
  if (a?.kind === 'held' && b?.kind === 'held') return a.percent === b.percent;
  return a?.kind === b?.kind;
};

export const sameState = (a: MachineState, b: MachineState): boolean =>
  a.plug === b.plug && sameDrive(a, b) && sameHarness(a.harness, b.harness);
