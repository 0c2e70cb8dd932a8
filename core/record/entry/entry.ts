import type {
  Lane,
  Place,
  ProbePoint,
  PulsesKind,
  SignalLane,
  Target,
  GaugeTap,
} from '../../machine/places/index.ts';
import {
  type Measurand,
  type PressureBasis,
  type PressureUnit,
  type ReadingWarning,
} from '../../measure/quantity/index.ts';
import type { ReadingFault } from '../../measure/quantity/parseReading.ts';

/** What one line of typing says. The state of the machine and the time are the sheet's to add. */
export type Entry =
  | { kind: 'wire'; lane: Lane; place: Place; volts: number; warnings: ReadingWarning[] }
  | { kind: 'between'; from: ProbePoint; to: ProbePoint; volts: number; warnings: ReadingWarning[] }
  | { kind: 'ohms'; from: ProbePoint; to: ProbePoint; ohms: number | null; warnings: ReadingWarning[] }
  | { kind: 'frequency'; lane: 'signal'; place: Place; hertz: number; warnings: ReadingWarning[] }
  | { kind: 'duty'; lane: 'signal'; place: Place; upPercent: number; warnings: ReadingWarning[] }
  | { kind: 'gauge'; tap: GaugeTap; pressureKpa: number; basis: PressureBasis; warnings: ReadingWarning[] }
  | { kind: 'scan'; measures: Measurand; value: number; warnings: ReadingWarning[] }
  | { kind: 'live-volts'; lane: SignalLane; volts: number; warnings: ReadingWarning[] }
  | { kind: 'ambient'; stationKpaAbs: number; warnings: ReadingWarning[] };

export type EntryFault =
  ReadingFault | 'no-target' | 'two-targets' | 'wrong-basis' | 'place-needs-wire' | 'one-place' | 'not-ohms';

export interface EntryDefaults {
  /** The point in hand: where a bare number goes. */
  selected: Target | undefined;
  /** What a bare absolute pressure (live data, barometer) is taken as. */
  pressureUnit: PressureUnit;
  /** What a bare number on a gauge is taken as. */
  gaugeUnit: PressureUnit;
  /** What the sensor in hand reports: the unit of live data, and the way its gauge counts. */
  measures: Measurand;
  /** Where a gauge goes that nobody says the place of; at the sensor's hose unless given. */
  tap?: GaugeTap | undefined;
  /** Of a sensor that sends its value in pulses: what counts. */
  pulsesAs?: PulsesKind | undefined;
  /** More than any pressure here, by the sensor's range; a manifold's unless given. */
  highestKpa?: number | undefined;
}
