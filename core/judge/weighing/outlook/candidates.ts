import { type AnyEvidence } from '../../../record/evidence/index.ts';
import {
  isMotor,
  isReturn,
  isSignal,
  NO_HARNESS_WORK,
  sameDrive,
  type Lane,
  type MachineState,
  type Place,
  type ProbePoint,
  type Spot,
} from '../../../machine/places/index.ts';
import { observationOf, observationsFor, type ObservationId } from '../../../record/observation/index.ts';
import {
  canBePumped,
  familyOf,
  isLinked,
  isPumpedDown,
  movedState,
  type FamilyId,
} from '../../../machine/family/index.ts';
import { SEA_LEVEL_KPA } from '../../../measure/quantity/index.ts';
import type { SensorProfile } from '../../../measure/transfer/index.ts';

/** A reading that could be taken next. */
export interface Candidate {
  target: Spot | { kind: 'sweep' } | { kind: 'observation'; observation: ObservationId };
  state: MachineState;
}

/** How hard a place is to get at on this machine. */
export const REACHES = ['easy', 'awkward', 'out-of-reach'] as const;
export type Reach = (typeof REACHES)[number];
export type Reaches = Readonly<Partial<Record<Place, Reach>>>;

const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };
const PLUG_OFF: MachineState = { engine: 'koeo', plug: 'unplugged' };
const FULL_TRAVEL: MachineState = { ...KOEO, stimulus: { kind: 'full-travel' } };
const VALVE_OPEN: MachineState = {
  engine: 'held-revs',
  plug: 'connected',
  stimulus: { kind: 'valve-open' },
};

/** Half way of what a hand does to the sensor itself, past whatever hose or linkage is before it. */
export function handState({ family, profile }: { family: FamilyId; profile: SensorProfile }) {
  const { measures } = profile;
  if (isLinked(family))
    return { ...KOEO, stimulus: { kind: 'held', percent: 50 } } as const satisfies MachineState;
  if (!canBePumped(family)) return undefined;
  return pumpedBy(0.5, isPumpedDown(family, measures) ? -40 : undefined, profile);
}

/** A second place of the same hand: what bends, stops or sticks on its way shows between two. */
export function fartherHandState({ family, profile }: { family: FamilyId; profile: SensorProfile }) {
  const { measures } = profile;
  if (isLinked(family))
    return { ...KOEO, stimulus: { kind: 'held', percent: 80 } } as const satisfies MachineState;
  if (!canBePumped(family)) return undefined;
  return pumpedBy(0.8, isPumpedDown(family, measures) ? -65 : undefined, profile);
}

/** Down from ambient by what a hand pump can do, else up by a share of what the sensor is made for. */
function pumpedBy(share: number, downKpa: number | undefined, { measures, lowest, highest }: SensorProfile) {
  const from = measures === 'absolute-pressure' ? SEA_LEVEL_KPA : Math.max(0, lowest);
  const kpaAboveAmbient = Math.round(downKpa ?? share * (highest - from));
  return { ...KOEO, stimulus: { kind: 'pump', kpaAboveAmbient } } as const satisfies MachineState;
}

const KEY_OFF: MachineState = { engine: 'key-off', plug: 'unplugged' };
export const NEIGHBOURS_OFF: MachineState = {
  ...KOEO,
  harness: { ...NO_HARNESS_WORK, neighboursOff: [0] },
};

/** At rest, driven by the machine, and moved by hand. */
export const drivenStates = (sensor: { family: FamilyId; profile: SensorProfile }): MachineState[] =>
  [KOEO, movedState(sensor.family), handState(sensor)].filter((state) => state !== undefined);

/** Everything worth thinking of as the next reading, whether taken before or not. */
export function candidatesFor(
  { family, profile }: { family: FamilyId; profile: SensorProfile },
  wires: readonly Lane[],
): Candidate[] {
  const wire = (lane: Lane, place: Place, state: MachineState): Candidate => ({
    target: { kind: 'wire', lane, place },
    state,
  });
  const moved = movedState(family);
  const measured = wires.filter((lane) => !isMotor(lane));
  const signals = measured.filter((lane) => lane === 'signal' || lane === 'second-signal');
  const states = drivenStates({ family, profile });
  const farther = fartherHandState({ family, profile });
  // Red where the current comes from, so that a drop has no minus sign.
  const drop = (lane: Lane): Candidate => {
    const [from, to] = isReturn(lane) ? (['plug', 'unit'] as const) : (['unit', 'plug'] as const);
    return { target: { kind: 'between', from: { lane, place: from }, to: { lane, place: to } }, state: KOEO };
  };
  const pin = (lane: Lane): ProbePoint => ({ lane, place: 'pin' });
  const ohms = (from: Lane, to: Lane): Candidate => ({
    target: { kind: 'ohms', from: pin(from), to: pin(to) },
    state: KEY_OFF,
  });
  // Across an amplifier an ohmmeter finds nothing that one could rely on.
  const tracks = isLinked(family);
  return [
    ...measured.flatMap((lane) =>
      (['plug', 'unit', 'connector'] as const).map((place) => wire(lane, place, KOEO)),
    ),
    ...measured.map((lane) => wire(lane, 'plug', PLUG_OFF)),
    ...states.slice(1).flatMap((state) => signals.map((lane) => wire(lane, 'plug', state))),
    ...(farther ? signals.map((lane) => wire(lane, 'plug', farther)) : []),
    ...states.map((state): Candidate => ({ target: { kind: 'scan' }, state })),
    ...measured.filter((lane) => !isSignal(lane)).map(drop),
    ...(measured.includes('reference') ? [wire('reference', 'plug', NEIGHBOURS_OFF)] : []),
    ohms(measured.includes('battery-feed') ? 'battery-feed' : 'reference', 'return'),
    ...(tracks
      ? [
          ohms('signal', 'return'),
          { target: { kind: 'sweep' }, state: FULL_TRAVEL } as const satisfies Candidate,
          ...(measured.includes('second-signal') ? [ohms('second-signal', second('return', measured))] : []),
        ]
      : []),
    ...observationsFor(family)
      .filter(({ id }) => id !== 'code-supply' || measured.includes('reference'))
      .map(({ id, valveOpen }): Candidate => ({
        target: { kind: 'observation', observation: id },
        state: valveOpen ? VALVE_OPEN : KOEO,
      })),
    ...(moved
      ? (familyOf(family).gaugeTaps ?? []).map((tap): Candidate => ({
          target: { kind: 'gauge', tap },
          state: moved,
        }))
      : []),
  ];
}

const second = (lane: 'return', wires: readonly Lane[]): Lane =>
  wires.includes('second-return') ? 'second-return' : lane;

/** Minutes of a practised hand (our own starting values): to read, to get at a place, to bring the machine into a state. */
const READ_MINUTES = 1;
const PLACE_MINUTES: Record<Place, number> = { plug: 1, connector: 3, unit: 4 };
const AWKWARD_MINUTES = 15;
const GAUGE_MINUTES = 4;
const SCAN_MINUTES = 1;
const PLUG_MINUTES = 1;
const ENGINE_MINUTES = 1;
const PUMP_MINUTES = 3;
const HAND_MINUTES = 0.5;
const SWEEP_MINUTES = 2;
const NEIGHBOUR_MINUTES = 3;

/** Where a probe has to get to. */
export function placesOf(target: { kind: string } & (Candidate['target'] | AnyEvidence)): Place[] {
  if (target.kind === 'wire') return [target.place];
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
  if (target.kind === 'sweep') minutes += SWEEP_MINUTES;
  if (state.harness && !last.harness) minutes += NEIGHBOUR_MINUTES;
  if (target.kind === 'gauge' && !taken.some((one) => one.kind === 'gauge' && one.tap === target.tap))
    minutes += GAUGE_MINUTES;
  if (target.kind === 'scan' && !taken.some(({ kind }) => kind === 'scan')) minutes += SCAN_MINUTES;
  if (last.plug !== state.plug) minutes += PLUG_MINUTES;
  if (!sameDrive(last, state)) {
    if (last.engine !== state.engine) minutes += ENGINE_MINUTES;
    if (state.stimulus) minutes += state.stimulus.kind === 'pump' ? PUMP_MINUTES : HAND_MINUTES;
  }
  return minutes;
}
