import {
  keyOn,
  type HarnessWork,
  type Lane,
  type MachineState,
  type ProbePoint,
  type Target,
} from '../evidence/index.ts';
import type { Companion } from '../companion/index.ts';
import { source } from '../circuit/index.ts';
import { effectsOf, FAULT_KINDS, faultOf, situate, type Fault } from '../fault/index.ts';
import type { FamilyId } from '../family/index.ts';
import { signalBand, valueFromSignal, type SensorProfile } from '../transfer/index.ts';
import {
  BATTERY_NEGATIVE,
  BATTERY_POSITIVE,
  JUMPER_OHMS,
  METER_OHMS,
  SOURCE_OHMS,
  Wiring,
  wiringFor,
} from '../wiring/index.ts';
import { answersAround, type IsolationAnswer } from './answers.ts';
import { RECIPES, SUBSTITUTE_VOLTS, type Recipe, type RecipeId } from './recipes.ts';

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

/** Every test with what each answer would mean, worked out on the circuit of this sensor before anything is unplugged. */
export function isolationTests(sensor: IsolatedSensor): IsolationTest[] {
  const wiring = new Wiring(wiringFor(sensor), 1);
  const { network, firstSpareNode: sourceNode } = wiring;
  network.addConductor(sourceNode, BATTERY_NEGATIVE, source(SUBSTITUTE_VOLTS, 1e-3));
  const meter = network.addResistor(BATTERY_NEGATIVE, BATTERY_NEGATIVE, METER_OHMS);
  const faults = faultsAround(sensor, wiring);
  const recipes: readonly Recipe[] = RECIPES;
  return recipes
    .filter(({ needs }) => needs.every((wire) => sensor.wires.includes(wire)))
    .map(({ id, about, name, how, caution, plugged, lane, place, harness }) => {
      const state: MachineState = {
        engine: 'koeo',
        plug: plugged ? 'connected' : 'unplugged',
        ...(harness ? { harness } : {}),
      };
      const at = wiring.node(lane, place);
      network.moveResistor(meter, at, BATTERY_NEGATIVE);
      const read = (fault: Fault | undefined): number => {
        bring(wiring, sensor, state, fault);
        if (harness) apply(wiring, harness, sourceNode);
        network.solve();
        return network.volts(at);
      };
      const soundVolts = read(undefined);
      // Live data counts from the unit's own ground, a few millivolts above the meter's.
      const soundInput = wiring.inputVolts('signal');
      const outcomes = faults
        .filter(({ site }) => plugged || !site.id.endsWith(':plug'))
        .map((fault) => ({ volts: read(fault), fault }));
      return {
        id: id as RecipeId,
        about,
        name,
        how,
        caution,
        state,
        target: { kind: 'wire', lane, place },
        answers: answersAround(lane, soundVolts, outcomes),
        ...(about === 'signal' ? { live: { value: liveValueAt(soundInput, sensor.profile) } } : {}),
      };
    });
}

/** A sound sensor in the middle of its range; which value it has matters to none of these tests. */
function bring(wiring: Wiring, sensor: IsolatedSensor, state: MachineState, fault: Fault | undefined): void {
  const { lowest, highest } = sensor.profile;
  const middle = (lowest + highest) / 2;
  situate(wiring, sensor, fault ? effectsOf([fault]) : [], {
    keyOn: keyOn(state),
    plugged: state.plug === 'connected',
    trueValue: middle,
    restingValue: middle,
    celsius: ROOM_CELSIUS,
  });
}

function apply(wiring: Wiring, { attachments, neighboursOff }: HarnessWork, sourceNode: number): void {
  for (const neighbour of neighboursOff) wiring.setOhms(`neighbour:${neighbour}`, Infinity);
  for (const attachment of attachments) {
    if (attachment.kind === 'voltage-source')
      wiring.bridge(sourceNode, nodeOf(wiring, attachment.at), SOURCE_OHMS);
    else wiring.bridge(nodeOf(wiring, attachment.from), nodeOf(wiring, attachment.to), JUMPER_OHMS);
  }
}

function nodeOf(wiring: Wiring, point: ProbePoint): number {
  if (point === 'battery-positive') return BATTERY_POSITIVE;
  return point === 'battery-negative' ? BATTERY_NEGATIVE : wiring.node(point.lane, point.place);
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
  const value = valueFromSignal(
    { signalVolts: volts, referenceVolts: profile.nominalReferenceVolts, returnVolts: 0 },
    profile,
  );
  return value.ok ? value.value.value : undefined;
}
