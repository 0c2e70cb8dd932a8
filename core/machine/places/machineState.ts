import type { GaugeAccuracy, Instrument } from '../../measure/uncertainty/index.ts';
import { sameHarness, type HarnessWork } from './harnessWork.ts';

export const ENGINE_STATES = [
  'key-off',
  'koeo',
  'cranking',
  'idle',
  'held-revs',
  'snap-open',
  'under-load',
] as const;
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

/** Whether the unit is fed. */
export const keyOn = (state: MachineState): boolean => state.engine !== 'key-off';
/** It turns, whatever turns it: belts and fans do as well. */
export const running = (state: MachineState): boolean => keyOn(state) && state.engine !== 'koeo';
/** What is done to the battery: left alone, pulled down by the starter, or charged by the alternator. */
export const batteryState = (state: MachineState): 'stopped' | 'cranking' | 'running' =>
  !running(state) ? 'stopped' : state.engine === 'cranking' ? 'cranking' : 'running';

/** The key is on and the starter lets the supply alone. */
export const isSteady = (state: MachineState): boolean => keyOn(state) && state.engine !== 'cranking';

/** What drives the sensor, whatever its plug does. */
export type Drive = Pick<MachineState, 'engine' | 'stimulus'>;

/** A pump on its port and a hand at its arm move the sensor itself, whatever a hose or a linkage would do. */
export const movesSensorItself = ({ stimulus }: Drive): boolean =>
  stimulus?.kind === 'pump' || stimulus?.kind === 'held';

/** The same engine state and the same stimulus: only then is a signal the same value at every point of its wire. */
export const sameDrive = (a: Drive, b: Drive): boolean =>
  a.engine === b.engine && sameStimulus(a.stimulus, b.stimulus);

/** Whether the same is done to the sensor; whatever showed the pressure of a pump. */
export const sameStimulus = (a: Stimulus | undefined, b: Stimulus | undefined): boolean => {
  if (a?.kind === 'pump' && b?.kind === 'pump') return a.kpaAboveAmbient === b.kpaAboveAmbient;
  if (a?.kind === 'held' && b?.kind === 'held') return a.percent === b.percent;
  return a?.kind === b?.kind;
};

/** Whether two readings were taken under the same conditions, harness included. */
export const sameState = (a: MachineState, b: MachineState): boolean =>
  a.plug === b.plug && sameDrive(a, b) && sameHarness(a.harness, b.harness);
