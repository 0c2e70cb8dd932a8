import type { Measurand, PressureBasis } from '../quantity/index.ts';
import type { GaugeAccuracy, Instrument, MeterAccuracy } from '../uncertainty/index.ts';

/** The three wires that every sensor here has. All volts are against battery negative. */
export const THREE_WIRES = ['reference', 'signal', 'return'] as const;
export type ThreeWire = (typeof THREE_WIRES)[number];
/** With those of bodies that have more: a second track or a temperature, and the 12 V of a hot element. */
export const LANES = [...THREE_WIRES, 'second-signal', 'battery-feed'] as const;
export type Lane = (typeof LANES)[number];

export const PLACES = ['unit', 'connector', 'plug'] as const;
export type Place = (typeof PLACES)[number];

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

/** The same engine state and the same stimulus: only then is a signal the same value at every point of its wire. */
export const sameDrive = (a: Drive, b: Drive): boolean =>
  a.engine === b.engine && sameStimulus(a.stimulus, b.stimulus);

export const sameStimulus = (a: Stimulus | undefined, b: Stimulus | undefined): boolean =>
  a?.kind === b?.kind &&
  (a?.kind !== 'pump' || b?.kind !== 'pump' || a.kpaAboveAmbient === b.kpaAboveAmbient);
