import { latestWire, type WireReading } from '../../record/evidence/index.ts';
import { keyOn, PLACES, sameDrive, type Lane, type Place } from '../../machine/places/index.ts';
import type { CaseFile } from './caseFile.ts';
import { signalArrives } from './signalArrives.ts';
import { supplyIsGood } from './supplyIsGood.ts';
import {
  type SegmentView,
  type Point,
  segmentState,
  BECAUSE,
  measuredAlong,
  EXPLAINED_BY_THE_OTHER,
} from './segmentState.ts';

/** Which way each wire carries what it carries: supply and ground from the unit, the signal from the sensor. */
const PATH: Record<Lane, readonly Place[]> = {
  reference: PLACES,
  return: PLACES,
  signal: [...PLACES].reverse(),
  'second-signal': [...PLACES].reverse(),
  'battery-feed': PLACES,
  'second-reference': PLACES,
  'second-return': PLACES,
  'motor-plus': PLACES,
  'motor-minus': PLACES,
};

const comesFromSensor = (lane: Lane): boolean => lane === 'signal' || lane === 'second-signal';

/** What the loaded readings prove about each harness segment, in the order unit to plug. */
export function laneSegments(caseFile: CaseFile, lane: Lane): SegmentView[] {
  const points = PATH[lane].map((place) => pointAt(caseFile, lane, place));
  const views = points.slice(1).map((to, i) => {
    const from = points[i] as Point;
    const state = segmentState(points.slice(0, i + 1), points.slice(i + 1));
    return {
      from: from.place,
      to: to.place,
      state,
      because: BECAUSE[state],
      readingIds: [from.id, to.id].filter((id) => id !== undefined),
    };
  });
  const fromUnit = comesFromSensor(lane)
    ? views.reverse().map((view) => ({ ...view, from: view.to, to: view.from }))
    : views;
  const measured = fromUnit.map((view) => measuredAlong(view, lane, caseFile));
  // One found break explains what is bad beyond it: the rest of the wire is not suspected for the same reading.
  return measured.some(({ state }) => state === 'faulty')
    ? measured.map((view) =>
        view.state === 'suspect' ? { ...view, state: 'unknown', because: EXPLAINED_BY_THE_OTHER } : view,
      )
    : measured;
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
    return { place, good: reading && supplyIsGood(lane, reading, caseFile), id: reading?.id };
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
