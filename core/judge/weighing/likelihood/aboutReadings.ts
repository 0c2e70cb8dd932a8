import type { AnyEvidence, OhmsReading, ScanReading, WireReading } from '../../../record/evidence/index.ts';
import {
  isReturn,
  sameState,
  sameTarget,
  type Lane,
  type Place,
  type ProbePoint,
} from '../../../machine/places/index.ts';
import type { CaseFile } from '../../checks/index.ts';

/** The same spot in the same state: read again, rather than another reading. */
export const isSameAct = (a: AnyEvidence, b: AnyEvidence): boolean =>
  sameTarget(a, b) && sameState(a.state, b.state);

/** Live data that an earlier reading showed already, to a step. */
export const isRepeat = (reading: AnyEvidence, { readings }: CaseFile, step: number): boolean => {
  if (reading.kind !== 'scan') return false;
  const at = readings.findIndex(({ id }) => id === reading.id);
  return readings
    .slice(0, Math.max(0, at))
    .some((one) => one.kind === 'scan' && Math.abs(one.value - reading.value) <= step);
};

/** Nearest to the sensor first; of those at one place the lowest. */
const PLACES_FROM_SENSOR: readonly Place[] = ['plug', 'connector', 'unit'];
const goesBefore = (one: WireReading, other: WireReading): boolean => {
  const nearer = PLACES_FROM_SENSOR.indexOf(one.place) - PLACES_FROM_SENSOR.indexOf(other.place);
  return nearer === 0 ? one.volts < other.volts : nearer < 0;
};

/**
 * Of all readings of the wire that this one is of, in the same state, the one that the others are told by: whenever each was taken,
 * since no order of readings makes a difference. Undefined where it is this one.
 */
export function toldBy(
  reading: WireReading | ScanReading,
  { readings }: Pick<CaseFile, 'readings'>,
): WireReading | undefined {
  const lane = reading.kind === 'wire' ? reading.lane : 'signal';
  let first: WireReading | undefined;
  for (const one of readings)
    if (one.kind === 'wire' && one.lane === lane && sameState(one.state, reading.state))
      first = first && !goesBefore(one, first) ? first : one;
  return first?.id === reading.id ? undefined : first;
}

/** A wire that reads within this of another one may be that other one. */
const SAME_PIN_VOLTS = 0.06;
/** What every plug has pins at: that a probe slipped there is always looked at. */
const isAtGround = (volts: number): boolean => Math.abs(volts) < 0.15;

/** Whether a supply or a return shows what a sound one does. */
export const belongsThere = (
  { lane, volts }: Pick<WireReading, 'lane' | 'volts'>,
  { profile }: Pick<CaseFile, 'profile'>,
): boolean =>
  isReturn(lane)
    ? isAtGround(volts)
    : (lane === 'reference' || lane === 'second-reference') &&
      isAtGround(volts - profile.nominalReferenceVolts);

/**
 * Whether another wire showed just this at the same place with the machine in the same state: then the probe may have been on its pin.
 * What was done to the harness meanwhile changes few pins.
 */
export const mayBeOnPinOfAnother = (reading: AnyEvidence, { readings, profile }: CaseFile): boolean =>
  reading.kind === 'wire' &&
  !isAtGround(reading.volts) &&
  !isAtGround(reading.volts - profile.nominalReferenceVolts) &&
  readings.some(
    (one) =>
      one.kind === 'wire' &&
      one.lane !== reading.lane &&
      one.place === reading.place &&
      sameState({ ...one.state, harness: reading.state.harness }, reading.state) &&
      Math.abs(one.volts - reading.volts) < SAME_PIN_VOLTS,
  );

/**
 * Whether an ohmmeter looks through a sensor or a unit rather than along a wire: makers differ widely in what is inside,
 * so that an honest reading may be far from ours.
 */
export const throughABody = ({ from, to }: Pick<OhmsReading, 'from' | 'to'>): boolean =>
  !sameConductor(from, to) && !sameConductor(to, from);

const sameConductor = (a: ProbePoint, b: ProbePoint): boolean => {
  if (typeof a === 'string') return a === b;
  if (typeof b !== 'string') return a.lane === b.lane;
  return b === 'battery-negative' ? isReturn(a.lane) : a.lane === 'battery-feed';
};

/** Where something is read, whatever else is known of it. */
export interface Spoken {
  kind: string;
  lane?: Lane;
  from?: ProbePoint;
  to?: ProbePoint;
}

/** Whether it is a voltage against battery negative, which is off by whatever all of them are. */
export const isAgainstBattery = ({ kind, from, to }: Spoken): boolean =>
  kind === 'wire' || (kind === 'between' && [from, to].includes('battery-negative'));

/** On the second signal of the body. */
export const isOnSecondSignal = ({ lane, from, to }: Spoken): boolean =>
  lane === 'second-signal' ||
  [from, to].some((point) => typeof point === 'object' && point.lane === 'second-signal');
