import { RECEIVED_VOLTS, UP_SHARE } from '../../../machine/limits/index.ts';
import type { Effect } from '../../../machine/fault/index.ts';

/*
 * The line of a sensor that sends telegrams: a meter averages it, and whoever listens has a value or none, by where the line stands
 * while it is down and while it is up.
 */

/** What the sender does to its line, up for a share of the time; it comes after whatever is wrong with the element. */
export const upFor = (highShare: number): Effect => ({ on: 'element', does: 'digital', highShare });

/** The average at both ends of what senders do, as the middle between them and half of what lies between. */
export function averageOf(readAt: (highShare: number) => number): { middle: number; half: number } {
  const [low, high] = [readAt(UP_SHARE.lowest), readAt(UP_SHARE.highest)];
  // A live circuit is one at both ends.
  return Number.isFinite(low) && Number.isFinite(high)
    ? { middle: (low + high) / 2, half: Math.abs(high - low) / 2 }
    : { middle: low, half: 0 };
}

/** Whether who listens can tell down from up. */
export const isReceived = (voltsAt: (highShare: number) => number): boolean =>
  voltsAt(0) < RECEIVED_VOLTS.downBelow && voltsAt(1) > RECEIVED_VOLTS.upAbove;
