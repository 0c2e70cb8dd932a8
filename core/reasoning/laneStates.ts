import {
  keyOn,
  latestWire,
  PLACES,
  sameDrive,
  type Lane,
  type Place,
  type WireReading,
} from '../evidence/index.ts';
import type { CaseFile } from './caseFile.ts';
import { signalArrives } from './signalArrives.ts';
import { referenceOutcome, returnIsGood } from './supplyFindings.ts';

export type SegmentState = 'proven' | 'suspect' | 'faulty' | 'unknown';

export interface SegmentView {
  from: Place;
  to: Place;
  state: SegmentState;
  readingIds: string[];
}

/** Which way each wire carries what it carries: supply and ground from the unit, the signal from the sensor. */
const PATH: Record<Lane, readonly Place[]> = {
  reference: PLACES,
  return: PLACES,
  signal: [...PLACES].reverse(),
  'second-signal': [...PLACES].reverse(),
  'battery-feed': PLACES,
};

const comesFromSensor = (lane: Lane): boolean => lane === 'signal' || lane === 'second-signal';

/** Below this a battery is flat or its feed is not sound. */
const LOWEST_FEED_VOLTS = 10.5;

function feedIsGood(lane: Lane, reading: WireReading, caseFile: CaseFile): boolean {
  if (lane === 'return') return returnIsGood(reading, caseFile);
  if (lane === 'battery-feed') return reading.volts >= LOWEST_FEED_VOLTS;
  return referenceOutcome(reading, caseFile) === 'normal';
}

interface Point {
  place: Place;
  good: boolean | undefined;
  id: string | undefined;
}

/** What the loaded readings prove about each harness segment, in the order unit to plug. */
export function laneSegments(caseFile: CaseFile, lane: Lane): SegmentView[] {
  const points = PATH[lane].map((place) => pointAt(caseFile, lane, place));
  const views = points.slice(1).map((to, i) => {
    const upstream = points.slice(0, i + 1);
    const downstream = points.slice(i + 1);
    const from = points[i] as Point;
    return {
      from: from.place,
      to: to.place,
      state: segmentState(upstream, downstream),
      readingIds: [from.id, to.id].filter((id) => id !== undefined),
    };
  });
  return comesFromSensor(lane)
    ? views.reverse().map((view) => ({ ...view, from: view.to, to: view.from }))
    : views;
}

function segmentState(upstream: readonly Point[], downstream: readonly Point[]): SegmentState {
  if (downstream.some(({ good }) => good === true)) return 'proven'; // what arrives good has passed here
  if (!downstream.some(({ good }) => good === false)) return 'unknown';
  if (upstream.some(({ good }) => good === false)) return 'unknown'; // bad already before this segment
  return upstream.at(-1)?.good && downstream[0]?.good === false ? 'faulty' : 'suspect';
}

function pointAt(caseFile: CaseFile, lane: Lane, place: Place): Point {
  const loaded = (reading?: WireReading) =>
    latestWire(
      caseFile.readings,
      lane,
      place,
      (state) => keyOn(state) && state.plug === 'connected' && (!reading || sameDrive(state, reading.state)),
    );
  if (!comesFromSensor(lane)) {
    const reading = loaded();
    return { place, good: reading && feedIsGood(lane, reading, caseFile), id: reading?.id };
  }
  // The signal has no fixed value: what leaves the sensor is the measure for every point after it, state by state.
  const reading = loaded();
  const source = latestWire(
    caseFile.readings,
    lane,
    'plug',
    (state) => state.plug === 'connected' && reading !== undefined && sameDrive(state, reading.state),
  );
  if (!reading || !source) return { place, good: undefined, id: reading?.id };
  return { place, good: signalArrives(source, reading, caseFile), id: reading.id };
}
