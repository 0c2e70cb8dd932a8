import type { AnyEvidence, OhmsReading } from '../../../record/evidence/index.ts';
import {
  isReturn,
  sameState,
  sameTarget,
  type Lane,
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

/** On the second signal of the body. */
export const isOnSecondSignal = ({ lane, from, to }: Spoken): boolean =>
  lane === 'second-signal' ||
  [from, to].some((point) => typeof point === 'object' && point.lane === 'second-signal');
