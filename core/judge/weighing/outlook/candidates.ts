import {
  isMotor,
  isReturn,
  isSignal,
  NO_HARNESS_WORK,
  PLACES,
  type Lane,
  type MachineState,
  type Place,
  type ProbePoint,
  type Spot,
} from '../../../machine/places/index.ts';
import { bridgedPastPlug, poweredByItself, type ByItself } from '../../isolation/index.ts';
import { observationsFor, type ObservationId } from '../../../record/observation/index.ts';
import { familyOf, isLinked, movedState, type FamilyId } from '../../../machine/family/index.ts';
import type { Companion } from '../../../measure/companion/index.ts';
import { isSent, sendsPulses, type SensorProfile } from '../../../measure/transfer/index.ts';
import { KOEO, drivenStates, fartherHandState, FULL_TRAVEL, REVVED, VALVE_OPEN } from './drivenStates.ts';

/** A reading that could be taken next. */
export interface Candidate {
  target:
    Spot | { kind: 'sweep' } | { kind: 'capture' } | { kind: 'observation'; observation: ObservationId };
  state: MachineState;
}

/** Whatever may be hard to get at: a place of the harness, or volts that not every tool shows. */
export const REACHABLE = [...PLACES, 'live-volts'] as const;
export type Reachable = (typeof REACHABLE)[number];
/** How hard it is to get at on this machine. */
export const REACHES = ['easy', 'awkward', 'out-of-reach'] as const;
export type Reach = (typeof REACHES)[number];
export type Reaches = Readonly<Partial<Record<Reachable, Reach>>>;
const PLUG_OFF: MachineState = { engine: 'koeo', plug: 'unplugged' };

const KEY_OFF: MachineState = { engine: 'key-off', plug: 'unplugged' };
export const NEIGHBOURS_OFF: MachineState = {
  ...KOEO,
  harness: { ...NO_HARNESS_WORK, neighboursOff: [0] },
};

/** From a wire at the plug to ground with nothing powered: a unit that gives too little, and a wire that is held down, differ. */
export const toGround = (lane: Lane): Candidate => ({
  target: { kind: 'ohms', from: { lane, place: 'plug' }, to: 'battery-negative' },
  state: KEY_OFF,
});

/** Everything worth thinking of as the next reading, whether taken before or not. */
export function candidatesFor(
  {
    family,
    profile,
    companion,
  }: { family: FamilyId; profile: SensorProfile; companion?: Companion | undefined },
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
  // What an ohmmeter cannot tell of an amplifier, feeding it past its plug does.
  const sensor = { family, profile, companion, wires };
  const alone = isLinked(family) ? undefined : pastItsPlug(poweredByItself(sensor));
  const bridged = pastItsPlug(bridgedPastPlug(sensor));
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
    // Of a second track the unit shows no value, and its volts.
    ...(companion?.kind === 'second-track' && measured.includes('second-signal')
      ? states.map((state): Candidate => ({ target: { kind: 'live-volts', lane: 'second-signal' }, state }))
      : []),
    ...measured.filter((lane) => !isSignal(lane)).map(drop),
    ...(measured.includes('reference') ? [wire('reference', 'plug', NEIGHBOURS_OFF)] : []),
    // A signal that rests low may be held there, and so may a supply; neither is told apart by a voltage.
    ...measured.filter((lane) => !isReturn(lane) && lane !== 'battery-feed').map(toGround),
    ohms(measured.includes('battery-feed') ? 'battery-feed' : 'reference', 'return'),
    ...(tracks
      ? [
          ohms('signal', 'return'),
          { target: { kind: 'sweep' }, state: FULL_TRAVEL } as const satisfies Candidate,
          ...(measured.includes('second-signal') ? [ohms('second-signal', second('return', measured))] : []),
        ]
      : []),
    // What a line says that goes to and fro, only a fast capture shows.
    ...(isSent(profile) ? [{ target: { kind: 'capture' }, state: KOEO } as const satisfies Candidate] : []),
    // And what a meter set to hertz or to percent can say of it.
    ...(sendsPulses(profile)
      ? states.flatMap((state) =>
          (state === states[0] ? (['plug', 'unit'] as const) : (['plug'] as const)).map(
            (place): Candidate => ({ target: { kind: profile.transfer.form, lane: 'signal', place }, state }),
          ),
        )
      : []),
    ...(alone ? [alone] : []),
    ...(bridged ? [bridged] : []),
    // The air temperature in the same body is a resistor: across its own two pins it is seen by itself.
    ...(companion?.kind === 'temperature' && measured.includes('second-signal')
      ? [ohms('second-signal', second('return', measured))]
      : []),
    ...(moved && familyOf(family).needs === 'displacement'
      ? [
          ...signals.map((lane) => wire(lane, 'plug', REVVED)),
          ...[moved, REVVED].map((state): Candidate => ({ target: { kind: 'engine-flow' }, state })),
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

/** The sensor fed from the loom's own terminals to its pins, past whatever its contacts do. */
const pastItsPlug = (by: ByItself | undefined): Candidate | undefined =>
  by && { target: { kind: 'between', from: by.from, to: by.to }, state: by.state };

const second = (lane: 'return', wires: readonly Lane[]): Lane =>
  wires.includes('second-return') ? 'second-return' : lane;
