import { samePoint, type ProbePoint } from './harnessWork.ts';
import type { Lane, Place } from './lanes.ts';

/** Where a gauge is teed in: at the sensor's own hose it sees what the sensor gets, at the manifold what the engine makes. */
export const GAUGE_TAPS = ['sensor-hose', 'manifold'] as const;
export type GaugeTap = (typeof GAUGE_TAPS)[number];

export type Target =
  { kind: 'wire'; lane: Lane; place: Place } | { kind: 'gauge'; tap: GaugeTap } | { kind: 'scan' };

/** Where a line of the record was read. */
export type Spot = Target | { kind: 'between' | 'ohms'; from: ProbePoint; to: ProbePoint };

/** Where a reading was taken, without what it showed. */
export function spotOf(reading: Spot): Spot {
  switch (reading.kind) {
    case 'wire':
      return { kind: 'wire', lane: reading.lane, place: reading.place };
    case 'gauge':
      return { kind: 'gauge', tap: reading.tap };
    case 'scan':
      return { kind: 'scan' };
    case 'between':
    case 'ohms':
      return { kind: reading.kind, from: reading.from, to: reading.to };
  }
}

/** Read at one point, rather than between two. */
export const isTarget = <T extends { kind: string }>(
  spot: T,
): spot is Exclude<T, { kind: 'between' | 'ohms' }> => spot.kind !== 'between' && spot.kind !== 'ohms';

/** The same place to put the probes, red where red was; what they showed and in which state is not asked. */
export function sameTarget(a: Spot, b: Spot): boolean {
  switch (a.kind) {
    case 'wire':
      return b.kind === 'wire' && a.lane === b.lane && a.place === b.place;
    case 'gauge':
      return b.kind === 'gauge' && a.tap === b.tap;
    case 'scan':
      return b.kind === 'scan';
    case 'between':
    case 'ohms':
      return b.kind === a.kind && samePoint(a.from, b.from) && samePoint(a.to, b.to);
  }
}
