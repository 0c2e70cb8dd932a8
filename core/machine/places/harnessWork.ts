import type { Lane, Place } from './lanes.ts';

/** Where a clip or a probe can go. `pin` is on the sensor itself, once its plug is off. */
export type ProbePoint = { lane: Lane; place: Place | 'pin' } | 'battery-positive' | 'battery-negative';

/** What is clipped onto the circuit besides a meter. */
export type Attachment =
  | { kind: 'jumper'; from: ProbePoint; to: ProbePoint }
  /** Ten megohms between two points. */
  | { kind: 'meter'; from: ProbePoint; to: ProbePoint }
  /** A lamp that shows by its current what a point can deliver. */
  | { kind: 'test-light'; from: ProbePoint; to: ProbePoint }
  /** A known voltage against battery negative, behind a resistor that keeps it harmless. */
  | { kind: 'voltage-source'; at: ProbePoint; volts: number };

/** What is done to the harness while a reading is taken. */
export interface HarnessWork {
  attachments: Attachment[];
  /** Other sensors on the reference that are unplugged, by their number. */
  neighboursOff: number[];
  /** Somebody moves the loom. */
  wiggled: boolean;
}

export const NO_HARNESS_WORK: HarnessWork = { attachments: [], neighboursOff: [], wiggled: false };

/** Whether anything is clipped onto the sensor's own pins. */
export const isOnSensor = (work: HarnessWork | undefined): boolean =>
  work?.attachments.some((one) =>
    ('at' in one ? [one.at] : [one.from, one.to]).some(
      (point) => typeof point !== 'string' && point.place === 'pin',
    ),
  ) ?? false;

/** Its signal as well goes past the plug: whatever the contacts do, everything stays connected. */
export const isSignalBridged = (work: HarnessWork | undefined): boolean =>
  work?.attachments.some(
    (one) =>
      one.kind === 'jumper' &&
      typeof one.to !== 'string' &&
      one.to.lane === 'signal' &&
      one.to.place === 'pin',
  ) ?? false;

/** Left out of a state where it says nothing. */
export const harnessOf = (work: HarnessWork): HarnessWork | undefined =>
  work.attachments.length > 0 || work.neighboursOff.length > 0 || work.wiggled ? work : undefined;

/** Whether a probe would stand on the same metal. */
export const samePoint = (a: ProbePoint, b: ProbePoint): boolean =>
  typeof a === 'string' || typeof b === 'string' ? a === b : a.lane === b.lane && a.place === b.place;

/** Whether the same is clipped on, in whatever order, and the same neighbours are off. */
export function sameHarness(a: HarnessWork | undefined, b: HarnessWork | undefined): boolean {
  const one = a ?? NO_HARNESS_WORK;
  const other = b ?? NO_HARNESS_WORK;
  return (
    one.wiggled === other.wiggled &&
    sameNumbers(one.neighboursOff, other.neighboursOff) &&
    one.attachments.length === other.attachments.length &&
    one.attachments.every((attachment) =>
      other.attachments.some((candidate) => sameAttachment(attachment, candidate)),
    )
  );
}

/** A jumper has no direction. */
function sameAttachment(a: Attachment, b: Attachment): boolean {
  if (a.kind === 'voltage-source' || b.kind === 'voltage-source')
    return a.kind === b.kind && 'at' in a && 'at' in b && samePoint(a.at, b.at) && a.volts === b.volts;
  return (
    a.kind === b.kind &&
    ((samePoint(a.from, b.from) && samePoint(a.to, b.to)) ||
      (samePoint(a.from, b.to) && samePoint(a.to, b.from)))
  );
}

const sameNumbers = (a: readonly number[], b: readonly number[]): boolean =>
  a.length === b.length && a.every((number) => b.includes(number));
