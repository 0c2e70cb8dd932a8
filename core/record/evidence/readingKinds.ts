import {
  fixed,
  measured,
  ohms,
  say,
  volts,
  type Message,
  type Quantity,
} from '../../measure/message/index.ts';
import {
  laneSaid,
  pairSaid,
  placeSaid,
  tapSaid,
  type GaugeTap,
  type Lane,
  type MachineState,
  type Place,
  type ProbePoint,
  type SignalLane,
  type SpotOf,
} from '../../machine/places/index.ts';
import { expectedAirflowGramsPerSecond, type AirflowInputs } from '../../measure/airflow/index.ts';
import { toKelvin, type Measurand, type PressureBasis } from '../../measure/quantity/index.ts';
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
/** Live data in volts: what the control unit makes of one of its inputs. */
export interface LiveVoltsReading extends Taken {
  kind: 'live-volts';
  lane: SignalLane;
  volts: number;
}
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
interface OfPulses extends Taken {
  meter?: Instrument<MeterAccuracy> | undefined;
  lane: 'signal';
  place: Place;
}
/** How often the signal goes to and fro, by a meter set to hertz; 0 where it stands. */
export interface FrequencyReading extends OfPulses {
  kind: 'frequency';
  hertz: number;
}
/** For what share of the time the signal is up, by a meter set to percent; 0 or 100 where it stands. */
export interface DutyReading extends OfPulses {
  kind: 'duty';
  upPercent: number;
}
export type PulsesReading = FrequencyReading | DutyReading;
/** What the engine has to draw, by speed and density: another's word for the flow than the meter's own. */
export interface EngineFlowReading extends Taken {
  kind: 'engine-flow';
  displacementLitres: number;
  revsPerMinute: number;
  manifoldKpaAbs: number;
  airCelsius: number;
  /** Volumetric efficiency. */
  fillingPercent: number;
}
/** Whatever can be read: a kind is one of these and its line below; what it is worth stands in the weighing. */
export type AnyEvidence =
  | WireReading
  | GaugeReading
  | ScanReading
  | LiveVoltsReading
  | BetweenReading
  | OhmsReading
  | PulsesReading
  | EngineFlowReading;

/** Its figures as the formula wants them. */
export const airflowInputs = (reading: EngineFlowReading): AirflowInputs => ({
  displacementLitres: reading.displacementLitres,
  revsPerMinute: reading.revsPerMinute,
  pressureKpaAbs: reading.manifoldKpaAbs,
  temperatureKelvin: toKelvin(reading.airCelsius, '°C'),
  volumetricEfficiency: reading.fillingPercent / 100,
});
/** As a meter shows it: with tenths up to a thousand. */
export const hertzSaid = (hertz: number): Quantity => fixed(hertz, hertz < 1000 ? 1 : 0, 'Hz');
const drawn = (reading: EngineFlowReading): number => expectedAirflowGramsPerSecond(airflowInputs(reading));

interface ReadingKindSpec<R extends AnyEvidence> {
  /** Where the probes go, or what is looked at. */
  where(spot: SpotOf<R>): Message;
  /** What the instrument showed. */
  shows(reading: R): Quantity;
  /** The same as a number: volts, ohms, kilopascals as the gauge counts, or the unit of what is measured. */
  reads(reading: R): number;
}

/** All that a kind of reading says of itself. */
export const READING_KINDS: {
  readonly [K in AnyEvidence['kind']]: ReadingKindSpec<Extract<AnyEvidence, { kind: K }>>;
} = {
  wire: {
    where: ({ lane, place }) => say('target.wire', { lane: laneSaid(lane), place: placeSaid(place) }),
    shows: (reading) => volts(reading.volts),
    reads: (reading) => reading.volts,
  },
  between: {
    where: ({ from, to }) => say('target.between', { pair: pairSaid(from, to) }),
    shows: (reading) => volts(reading.volts),
    reads: (reading) => reading.volts,
  },
  ohms: {
    where: ({ from, to }) => say('target.ohms', { pair: pairSaid(from, to) }),
    shows: (reading) => ohms(reading.ohms ?? Infinity),
    reads: (reading) => reading.ohms ?? Infinity,
  },
  gauge: {
    where: ({ tap }) => say('target.gauge', { tap: tapSaid(tap) }),
    shows: (reading) => fixed(reading.pressureKpa, 1, 'kPa'),
    reads: (reading) => reading.pressureKpa,
  },
  scan: {
    where: () => say('target.scan'),
    shows: (reading) => measured(reading.value, reading.measures, 'with-basis'),
    reads: (reading) => reading.value,
  },
  'live-volts': {
    where: ({ lane }) => say('target.live-volts', { lane: laneSaid(lane) }),
    shows: (reading) => volts(reading.volts),
    reads: (reading) => reading.volts,
  },
  frequency: {
    where: ({ place }) => say('target.frequency', { place: placeSaid(place) }),
    shows: ({ hertz }) => hertzSaid(hertz),
    reads: ({ hertz }) => hertz,
  },
  duty: {
    where: ({ place }) => say('target.duty', { place: placeSaid(place) }),
    shows: ({ upPercent }) => fixed(upPercent, 1, '%'),
    reads: ({ upPercent }) => upPercent,
  },
  'engine-flow': {
    where: () => say('target.engine-flow'),
    shows: (reading) => measured(drawn(reading), 'air-flow'),
    reads: drawn,
  },
};

type SpecOfAny = ReadingKindSpec<AnyEvidence>;
const specOf = (kind: AnyEvidence['kind']) => READING_KINDS[kind] as unknown as SpecOfAny;

/** Where the probes go, or what is looked at. */
export const spotSaid = (spot: SpotOf<AnyEvidence>): Message => specOf(spot.kind).where(spot);
/** What the instrument showed; a gauge as it counts, whatever that is against. */
export const shownOf = (reading: AnyEvidence): Quantity => specOf(reading.kind).shows(reading);
/** The same as a number: volts, ohms, kilopascals as the gauge counts, or the unit of what is measured. */
export const numberOf = (reading: AnyEvidence): number => specOf(reading.kind).reads(reading);
