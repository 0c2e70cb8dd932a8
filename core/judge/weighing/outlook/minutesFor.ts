import { type AnyEvidence } from '../../../record/evidence/index.ts';
import { isLiveData, isPulses, sameDrive, type Place } from '../../../machine/places/index.ts';
import { observationOf } from '../../../record/observation/index.ts';
import { type Candidate, type Reaches } from './candidates.ts';
import { KOEO } from './drivenStates.ts';

/** Minutes of a practised hand (our own starting values): to read, to get at a place, to bring the machine into a state. */
const READ_MINUTES = 1;
const PLACE_MINUTES: Record<Place, number> = { plug: 1, connector: 3, unit: 4 };
const AWKWARD_MINUTES = 15;
const GAUGE_MINUTES = 4;
const SCAN_MINUTES = 1;
/** Three figures of live data, and to put them in. */
const ENGINE_FLOW_MINUTES = 3;
const PLUG_MINUTES = 1;
const ENGINE_MINUTES = 1;
const PUMP_MINUTES = 3;
const HAND_MINUTES = 0.5;
const SWEEP_MINUTES = 2;
const NEIGHBOUR_MINUTES = 3;
const BRIDGE_MINUTES = 2;

/** Where a probe has to get to. */
export function placesOf(target: { kind: string } & (Candidate['target'] | AnyEvidence)): Place[] {
  if (target.kind === 'wire' || isPulses(target)) return [target.place];
  if (target.kind !== 'between' && target.kind !== 'ohms') return [];
  const places = [target.from, target.to].map((point) =>
    typeof point === 'string' ? undefined : point.place === 'pin' ? 'plug' : point.place,
  );
  return [...new Set(places.filter((place) => place !== undefined))];
}

/** What a reading costs on top of those taken: a place once got at stays open, a state once set stays set. */
export function minutesFor(
  { target, state }: Candidate,
  taken: readonly AnyEvidence[],
  reaches: Reaches = {},
): number {
  if (target.kind === 'observation') return observationOf(target.observation).minutes;
  const last = taken.at(-1)?.state ?? KOEO;
  let minutes = READ_MINUTES;
  for (const place of placesOf(target))
    if (!taken.some((one) => placesOf(one).includes(place)))
      minutes += PLACE_MINUTES[place] + (reaches[place] === 'awkward' ? AWKWARD_MINUTES : 0);
  if (target.kind === 'sweep' || target.kind === 'capture') minutes += SWEEP_MINUTES;
  if (state.harness && !last.harness)
    minutes +=
      (state.harness.neighboursOff.length > 0 ? NEIGHBOUR_MINUTES : 0) +
      BRIDGE_MINUTES * state.harness.attachments.length;
  if (target.kind === 'gauge' && !taken.some((one) => one.kind === 'gauge' && one.tap === target.tap))
    minutes += GAUGE_MINUTES;
  if (target.kind === 'engine-flow') minutes += ENGINE_FLOW_MINUTES;
  if (isLiveData(target) && !taken.some(isLiveData)) minutes += SCAN_MINUTES;
  if (last.plug !== state.plug) minutes += PLUG_MINUTES;
  if (!sameDrive(last, state)) {
    if (last.engine !== state.engine) minutes += ENGINE_MINUTES;
    if (state.stimulus) minutes += state.stimulus.kind === 'pump' ? PUMP_MINUTES : HAND_MINUTES;
  }
  return minutes;
}
