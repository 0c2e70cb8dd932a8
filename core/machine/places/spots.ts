import { samePoint, type ProbePoint } from './harnessWork.ts';
import type { Lane, Place } from './lanes.ts';

/**
 * Where a gauge goes: teed in at the sensor's own hose it sees what the sensor gets, at the manifold what the engine makes; a closed
 * circuit has a service port for it.
 */
export const GAUGE_TAPS = ['sensor-hose', 'manifold', 'service-port'] as const;
export type GaugeTap = (typeof GAUGE_TAPS)[number];

const TARGET_KINDS = ['wire', 'gauge', 'scan', 'live-volts'] as const;
export type Target =
  | { kind: 'wire'; lane: Lane; place: Place }
  | { kind: 'gauge'; tap: GaugeTap }
  | { kind: 'scan' }
  /** What the unit makes of one of its inputs, in volts. */
  | { kind: 'live-volts'; lane: SignalLane };

/** The inputs of which live data has volts. */
export const SIGNAL_LANES = ['signal', 'second-signal'] as const satisfies readonly Lane[];
export type SignalLane = (typeof SIGNAL_LANES)[number];

/** What a meter set to hertz or to percent reads of a signal that goes to and fro. */
export const PULSES_KINDS = ['frequency', 'duty'] as const;
export type PulsesKind = (typeof PULSES_KINDS)[number];

/** What the model of a machine can be asked for, and what can be suggested as the next reading. */
export type Spot =
  | Target
  | { kind: 'between' | 'ohms'; from: ProbePoint; to: ProbePoint }
  | { kind: PulsesKind; lane: 'signal'; place: Place }
  /** Of a flow meter: what the engine has to draw, which no instrument shows. */
  | { kind: 'engine-flow' };

/** Where something was read, whatever its kind. */
export interface Where {
  readonly kind: string;
  readonly lane?: Lane;
  readonly place?: Place;
  readonly tap?: GaugeTap;
  readonly from?: ProbePoint;
  readonly to?: ProbePoint;
}
const WHERE_FIELDS = ['kind', 'lane', 'place', 'tap', 'from', 'to'] as const;
/** Of a reading only where it was taken. */
export type SpotOf<W> = W extends Where ? Pick<W, Extract<keyof W, keyof Where>> : never;

/** Where a reading was taken, without what it showed. */
export const spotOf = <W extends Where>(reading: W): SpotOf<W> =>
  Object.fromEntries(
    WHERE_FIELDS.flatMap((field) => (field in reading ? [[field, reading[field]]] : [])),
  ) as SpotOf<W>;

/** Read at one point, rather than between two. */
export const isTarget = <T extends { kind: string }>(spot: T): spot is Extract<T, { kind: Target['kind'] }> =>
  TARGET_KINDS.some((kind) => kind === spot.kind);

/** What the control unit says, rather than an instrument on the harness. */
export const isLiveData = <T extends { kind: string }>(
  spot: T,
): spot is Extract<T, { kind: 'scan' | 'live-volts' }> => spot.kind === 'scan' || spot.kind === 'live-volts';

/** Read with a meter set to hertz or to percent. */
export const isPulses = <T extends { kind: string }>(spot: T): spot is Extract<T, { kind: PulsesKind }> =>
  PULSES_KINDS.some((kind) => kind === spot.kind);

/** The same place to put the probes, red where red was; what they showed and in which state is not asked. */
export const sameTarget = (a: Where, b: Where): boolean =>
  a.kind === b.kind &&
  a.lane === b.lane &&
  a.place === b.place &&
  a.tap === b.tap &&
  sameEnd(a.from, b.from) &&
  sameEnd(a.to, b.to);

const sameEnd = (a: ProbePoint | undefined, b: ProbePoint | undefined): boolean =>
  a === undefined || b === undefined ? a === b : samePoint(a, b);
