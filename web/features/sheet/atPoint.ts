import {
  isPulses,
  isTarget,
  sameTarget,
  type PulsesKind,
  type Target,
  type Where,
} from '@lettura/core/machine/places';

export type AtOnePoint<T extends { kind: string }> = Extract<T, { kind: Target['kind'] | PulsesKind }>;

/** Read at one point, in volts or counted: what a pad of the lanes stands for. */
export const isAtOnePoint = <T extends { kind: string }>(reading: T): reading is AtOnePoint<T> =>
  isTarget(reading) || isPulses(reading);

/** Whether it was read at the point in hand, whatever the meter was set to. */
export const isAt = (reading: Where, target: Target): boolean =>
  sameTarget({ ...reading, kind: isPulses(reading) ? 'wire' : reading.kind }, target);
