import {
  keyOn,
  movesSensorItself,
  type MachineState,
  type ProbePoint,
  type Lane,
} from '@lettura/core/machine/places';
import {
  effectsOf,
  faultKind,
  faultOf,
  valueMet,
  type Effect,
  type Fault,
} from '@lettura/core/machine/fault';
import { Rig } from '@lettura/core/machine/rig';
import type { BenchMachine, CaseFault, Surroundings } from './benchMachine.ts';
import type { WorkId } from '@lettura/core/record/workDone';
import { isMendedBy } from './mendedBy.ts';
import { REVS } from './airFlowMet.ts';
import { manifoldKpaAbs } from './quantities.ts';
import type { CaseLetter } from './practiceCases.ts';
import { seededRandom } from './random.ts';

export interface SimulatedMachine {
  machine: BenchMachine;
  /** What is wrong with it, to be told after the verdict. */
  faults: readonly Fault[];
  ambientKpaAbs: number;
  airCelsius: number;
  /** On a 10 MΩ meter between two points. */
  voltsBetween(red: ProbePoint, black: ProbePoint, state: MachineState): number;
  /** On an ohmmeter; Infinity for OL, −Infinity on a live circuit. */
  ohmsBetween(red: ProbePoint, black: ProbePoint, state: MachineState): number;
  /** Through the test light, in amperes. */
  lampAmps(state: MachineState): number;
  /** What the control unit's converter makes of an input, in volts, with no meter attached. */
  unitReadsVolts(wire: Lane, state: MachineState): number;
  /** Where the line of a digital sender stands at the unit while it is down and while it is up, in volts. */
  telegramLevels(state: MachineState): readonly [down: number, up: number];
  /** The same at the sensor plug, on a probe; undefined where the part sends a voltage and no telegrams. */
  sentAtPlug(state: MachineState): readonly [down: number, up: number] | undefined;
  /** A sensor supply inside the control unit, against the unit's own ground. */
  unitRailVolts(rail: number, state: MachineState): number;
  /** What the quantity really is where a gauge would be teed in: where it arises, or in the sensor's own hose. */
  quantity(state: MachineState, where: 'source' | 'sensor'): number;
  /** What live data shows of the engine beside this sensor. */
  engine(state: MachineState): { revsPerMinute: number; manifoldKpaAbs: number };
}

/**
 * A machine with what a practice case hides; where it sits, how big it is and how the machine differs follow from the seed.
 *
 * @param done to it since: what that mends is there no longer
 */
export function practiceMachine(
  machine: BenchMachine,
  letter: CaseLetter,
  seed: number,
  done: readonly WorkId[] = [],
): SimulatedMachine {
  const random = seededRandom(seed);
  const surroundings = surroundingsOf(machine, random);
  const choices = machine.cases[letter];
  const chosen = choices.length > 0 ? choices[Math.floor(random() * choices.length)] : undefined;
  const fault = chosen && caseFault(machine, chosen, random());
  const present = fault && !isMendedBy(fault, done) ? [fault] : [];
  return simulatedMachine(machine, present, surroundings, chosen?.onlyWhenWiggled ?? false);
}

/** One machine, whatever is wrong with it. */
export function simulatedMachine(
  machine: BenchMachine,
  faults: readonly Fault[],
  surroundings: Surroundings,
  onlyWhenWiggled = false,
): SimulatedMachine {
  const rig = new Rig({
    ...machine.wiring,
    rails: machine.wiring.rails.map((rail) => ({
      ...rail,
      volts: rail.volts + RAIL_SPREAD_VOLTS * surroundings.individual,
    })),
  });
  const all = effectsOf(faults);
  const sender = (highShare: number): readonly Effect[] =>
    machine.telegrams ? [{ on: 'element', does: 'digital', highShare }] : [];
  const averaged = sender(0.55 + 0.04 * surroundings.individual);
  const effects = (wiggled: boolean, line = averaged): readonly Effect[] => [
    ...line,
    ...(onlyWhenWiggled && !wiggled ? [] : all),
  ];
  const atRest = restingValue(machine, surroundings);

  const set = (state: MachineState, line = averaged): Rig =>
    bring(state, effects(state.harness?.wiggled ?? false, line));
  const bring = (state: MachineState, having: readonly Effect[]): Rig => {
    const situation = {
      keyOn: keyOn(state),
      plugged: state.plug === 'connected',
      trueValue: machine.quantity(state, surroundings),
      restingValue: atRest,
      celsius: surroundings.airCelsius,
    };
    rig.bring(
      machine.sensor,
      having.filter((effect) => acts(effect, state)),
      situation,
      state.harness,
    );
    return rig;
  };

  return {
    machine,
    faults,
    ambientKpaAbs: surroundings.ambientKpaAbs,
    airCelsius: surroundings.airCelsius,
    voltsBetween: (red, black, state) => set(state).volts(red, black),
    ohmsBetween: (red, black, state) => set(state).ohms(red, black),
    lampAmps: (state) => set(state).lampAmps(),
    unitReadsVolts(wire, state) {
      const stuck = effects(state.harness?.wiggled ?? false).find(
        (effect) => effect.on === 'converter' && effect.wire === wire,
      );
      if (stuck?.on === 'converter') return stuck.reads;
      return set(state).inputVolts(wire);
    },
    telegramLevels: (state) => [
      set(state, sender(0)).inputVolts('signal'),
      set(state, sender(1)).inputVolts('signal'),
    ],
    sentAtPlug(state) {
      const isSent = [...averaged, ...all].some(isDigital);
      const at = (highShare: number): number => {
        const sent = [
          ...sender(highShare),
          ...all.map((one) => (isDigital(one) ? { ...one, highShare } : one)),
        ];
        return bring(state, sent).volts({ lane: 'signal', place: 'plug' }, 'battery-negative');
      };
      return isSent ? [at(0), at(1)] : undefined;
    },
    unitRailVolts: (rail, state) => set(state).railVolts(rail),
    quantity(state, where) {
      const met = all.filter((effect) => acts(effect, state) && (where === 'sensor' || isAtSource(effect)));
      return valueMet(machine.quantity(state, surroundings), atRest, met, machine.sensor.profile);
    },
    engine: ({ engine }) => ({
      revsPerMinute: REVS[engine],
      manifoldKpaAbs: manifoldKpaAbs(engine, surroundings),
    }),
  };
}

const isDigital = (effect: Effect): effect is Extract<Effect, { on: 'element'; does: 'digital' }> =>
  effect.on === 'element' && effect.does === 'digital';

/** What lies between quantity and sensor has no say while the sensor itself is moved. */
const acts = (effect: Effect, state: MachineState): boolean =>
  effect.on !== 'quantity' || !movesSensorItself(state);

/** What an engine does itself; hoses, linkages and ducts come after it. */
const isAtSource = (effect: Effect): boolean =>
  effect.on === 'quantity' && effect.does === 'weakened' && effect.atSource === true;

const RAIL_SPREAD_VOLTS = 0.035;
const STOPPED: MachineState = { engine: 'koeo', plug: 'connected' };
const restingValue = (machine: BenchMachine, surroundings: Surroundings): number =>
  machine.quantity(STOPPED, surroundings);

export function surroundingsOf(machine: BenchMachine, random: () => number): Surroundings {
  const between = (low: number, high: number) => low + (high - low) * random();
  return {
    ambientKpaAbs: machine.ambientKpaAbs,
    airCelsius: between(14, 22),
    idleKpaAbs: between(29, 34),
    individual: between(-1, 1),
  };
}

/** A fault of the catalogue, as a case names it. */
export function caseFault(
  { sensor, wiring }: BenchMachine,
  { kind: kindId, site: siteId, from = 0, to = 1 }: CaseFault,
  at: number,
): Fault {
  const kind = faultKind(kindId);
  const site = kind.sites({ family: sensor.family, wiring }).find(({ id }) => id === siteId);
  if (!site) throw new Error(`A case names a fault that its machine cannot have: ${kindId} ${siteId}.`);
  return faultOf(kind, site, from + at * (to - from));
}
