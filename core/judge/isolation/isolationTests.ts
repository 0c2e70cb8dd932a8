import { keyOn, type Lane, type MachineState, type Target } from '../../machine/places/index.ts';
import type { Companion } from '../../measure/companion/index.ts';
import {
  effectsOf,
  FAULT_KINDS,
  faultOf,
  isInPlug,
  type Fault,
  type Situation,
} from '../../machine/fault/index.ts';
import type { FamilyId } from '../../machine/family/index.ts';
import { Rig } from '../../machine/rig/index.ts';
import { signalBand, valueAtNominal, type SensorProfile } from '../../measure/transfer/index.ts';
import { wiringFor, type Wiring } from '../../machine/wiring/index.ts';
import { answersAround, type IsolationAnswer } from './isolationAnswers.ts';
import { RECIPES, type Recipe, type RecipeId } from './recipes.ts';

/** The sensor of a job, as far as its circuit goes. */
export interface IsolatedSensor {
  family: FamilyId;
  profile: SensorProfile;
  companion?: Companion | undefined;
  wires: readonly Lane[];
}

export interface IsolationTest extends Pick<Recipe, 'about' | 'name' | 'how' | 'caution'> {
  id: RecipeId;
  /** In which the reading is taken, and where: what goes on record with it. */
  state: MachineState;
  target: Extract<Target, { kind: 'wire' }>;
  answers: readonly IsolationAnswer[];
  /** Whether live data is read beside it, and what it shows while all is well; no value where the unit sees a lost signal. */
  live?: { value: number | undefined };
}

const ROOM_CELSIUS = 20;

/**
 * Every test with what each answer would mean, worked out on the circuit of this sensor before anything is unplugged.
 *
 * @param expectedSignal volts that a sound signal has with the key on and the engine off; else the middle of the range is taken
 */
export function isolationTests(sensor: IsolatedSensor, expectedSignal?: VoltBand): IsolationTest[] {
  const rig = new Rig(wiringFor(sensor));
  const faults = faultsAround(sensor, rig.wiring);
  const recipes: readonly Recipe[] = RECIPES;
  return recipes
    .filter(({ needs }) => needs.every((wire) => sensor.wires.includes(wire)))
    .map(({ id, about, name, how, caution, plugged, lane, place, harness }) => {
      const state: MachineState = {
        engine: 'koeo',
        plug: plugged ? 'connected' : 'unplugged',
        ...(harness ? { harness } : {}),
      };
      const situation = situationOf(sensor, state, expectedSignal);
      const read = (fault: Fault | undefined): number => {
        rig.bring(sensor, fault ? effectsOf([fault]) : [], situation, harness);
        return rig.volts({ lane, place }, 'battery-negative');
      };
      const soundVolts = read(undefined);
      // Live data counts from the unit's own ground, a few millivolts above the meter's.
      const soundInput = rig.inputVolts('signal');
      const outcomes = faults
        .filter(({ site }) => plugged || !isInPlug(site.at))
        .map((fault) => ({ volts: read(fault), fault }));
      return {
        id: id as RecipeId,
        about,
        name,
        how,
        caution,
        state,
        target: { kind: 'wire', lane, place },
        answers: answersAround(
          lane,
          soundVolts,
          outcomes,
          plugged && lane === 'signal' ? halfOf(expectedSignal) : 0,
        ),
        ...(about === 'signal' ? { live: { value: liveValueAt(soundInput, sensor.profile) } } : {}),
      };
    });
}

interface VoltBand {
  lowest: number;
  highest: number;
}
const halfOf = (band: VoltBand | undefined): number => (band ? (band.highest - band.lowest) / 2 : 0);

/** What the sensor meets is what a sound signal says; where nobody knows, the middle of its range. */
function situationOf(
  { profile }: IsolatedSensor,
  state: MachineState,
  expected: VoltBand | undefined,
): Situation {
  const { lowest, highest } = profile;
  const middle = expected
    ? valueAtNominal((expected.lowest + expected.highest) / 2, profile)
    : (lowest + highest) / 2;
  return {
    keyOn: keyOn(state),
    plugged: state.plug === 'connected',
    trueValue: middle,
    restingValue: middle,
    celsius: ROOM_CELSIUS,
  };
}

/** What these tests are for: the wires between plug and unit, and the unit itself; at both ends of each size. */
function faultsAround(sensor: IsolatedSensor, { spec }: Wiring): Fault[] {
  const subject = { family: sensor.family, wiring: spec };
  return FAULT_KINDS.filter(
    ({ class: sort, id }) => (sort === 'wire' || sort === 'control-unit') && id !== 'two-wires-open',
  ).flatMap((kind) =>
    kind
      .sites(subject)
      .flatMap((site) => (kind.size ? [0, 0.5, 1] : [0]).map((at) => faultOf(kind, site, at))),
  );
}

function liveValueAt(volts: number, profile: SensorProfile): number | undefined {
  const band = signalBand(volts, profile.nominalReferenceVolts, profile);
  if (band === 'circuit-low' || band === 'circuit-high') return undefined;
  return valueAtNominal(volts, profile);
}
