import { LEAST_SWING_VOLTS, RECEIVED_VOLTS, UP_SHARE } from '../../../machine/limits/index.ts';
import type { SentIn } from '../../../measure/transfer/index.ts';
import type { Effect } from '../../../machine/fault/index.ts';

/*
 * The line of a sensor that sends its value: a meter averages it, and whoever listens has a value or none, by where the line stands
 * while it is down and while it is up.
 */

/** What the sender does to its line, up for a share of the time; it comes after whatever is wrong with the element. */
export const upFor = (highShare: number): Effect => ({ on: 'element', does: 'digital', highShare });

/** The average at both ends of how long a line may stay up, as the middle between them and half of what lies between. */
export function averageOf(
  { lowest, highest }: { lowest: number; highest: number },
  readAt: (highShare: number) => number,
): { middle: number; half: number } {
  const [low, high] = [readAt(lowest), readAt(highest)];
  // A live circuit is one at both ends.
  return Number.isFinite(low) && Number.isFinite(high)
    ? { middle: (low + high) / 2, half: Math.abs(high - low) / 2 }
    : { middle: low, half: 0 };
}

/** Half way between both ends of what senders do. */
export const usualUpShare = (sends: SentIn): number => (UP_SHARE[sends].lowest + UP_SHARE[sends].highest) / 2;

/** A part of another output may stand anywhere between its ends, or go to and fro in another way. */
export const ANY_SHARE = { lowest: 0, highest: 1 } as const;

/** Whether a fast capture finds that it goes to and fro at all, whatever its receiver makes of it. */
export const isToggling = (voltsAt: (highShare: number) => number): boolean =>
  voltsAt(1) - voltsAt(0) > LEAST_SWING_VOLTS;

/** Whether who listens can tell down from up. */
export const isReceived = (voltsAt: (highShare: number) => number): boolean =>
  voltsAt(0) < RECEIVED_VOLTS.downBelow && voltsAt(1) > RECEIVED_VOLTS.upAbove;
