import type { Lane } from '../../machine/places/index.ts';
import { source } from '../../machine/circuit/index.ts';
import {
  allFaults,
  effectsOf,
  FAULT_KINDS,
  situate,
  type Fault,
  type FaultKind,
} from '../../machine/fault/index.ts';
import { ohmsShown, TEST_VOLTS } from '../../machine/rig/index.ts';
import { BATTERY_NEGATIVE, METER_OHMS, SOURCE_OHMS, Wiring } from '../../machine/wiring/index.ts';
import type { Bias } from '../../measure/transfer/index.ts';
import { bodiesWith, type Body, type TerminalCount } from './bodies.ts';
import { PLUG_TESTS, roleOf, type PlugTest, type Role } from './plugTest.ts';

/** What a wire of a scenario can show in a test: an interval, since quantity and size of the fault are not known. */
export interface Shows {
  lowest: number;
  highest: number;
}

/** One body, sound or with one fault within a bin of sizes. */
export interface Scenario {
  weight: number;
  /** Which way the unit pulls its inputs, where nothing is wrong with the body. */
  soundWithBias?: Bias;
  roles: readonly Role[];
  /** By wire, in the order of `roles`. */
  shows: readonly Record<PlugTest, Shows>[];
  /** By wire and test: the first and the last kind of answer in between. */
  answers: readonly (readonly (readonly [first: number, last: number])[])[];
}

/** Of what the finder is asked about, most is sound, or sound enough for the plug (our own starting value). */
const SOUND_WEIGHT = 0.8;
/** Ends of the size bins, as shares of a fault's range: neighbours bound a bin. */
const SIZE_ENDS = [0, 0.25, 0.5, 0.75, 1];
/** Where the quantity may stand while nobody touches the sensor, as shares of its range. */
const QUANTITIES = [0, 0.5, 1];
const CELSIUS = [-15, 60];

/** What is fed in for the substitution, behind the resistor that keeps it harmless. */
const FED_VOLTS = 1.6;
/** Against a temperature's pull-up of some kilohms the resistor drops its share. */
const FOLLOWS_WITHIN_VOLTS = 0.6;

const cache = new Map<TerminalCount, readonly Scenario[]>();

/** Every scenario for a plug with that many terminals. Worked out once: some thousand solutions of small networks. */
export function scenariosFor(terminals: TerminalCount): readonly Scenario[] {
  const known = cache.get(terminals);
  if (known) return known;
  const bodies = bodiesWith(terminals);
  const all = bodies.flatMap((body) => scenariosOf(body, 1 / bodies.length));
  cache.set(terminals, all);
  return all;
}

function scenariosOf(body: Body, bodyWeight: number): Scenario[] {
  const rig = rigFor(body);
  const bins = FAULT_KINDS.flatMap((kind) => binsOf(kind, body));
  return [
    {
      weight: SOUND_WEIGHT * bodyWeight,
      soundWithBias: body.profile.bias,
      ...rig.signature([[]]),
    },
    ...bins.map((bin) => ({
      weight: ((1 - SOUND_WEIGHT) * bodyWeight) / bins.length,
      ...rig.signature(bin.map((fault) => [fault])),
    })),
  ];
}

/** Faults of one kind and site at both ends of each size bin. */
function binsOf(kind: FaultKind, { family, wiring }: Body): Fault[][] {
  const at = (share: number): Fault[] =>
    allFaults({ family, wiring }, share).filter((fault) => fault.kind === kind);
  if (!kind.size) return at(0).map((fault) => [fault]);
  const ends = SIZE_ENDS.map(at);
  return ends.slice(1).flatMap((upper, i) => upper.map((fault, site) => [ends[i]![site]!, fault]));
}

function rigFor(body: Body) {
  const { wiring: spec, profile } = body;
  const wires = spec.wires.map(({ wire }) => wire);
  const roles = wires.map((wire) => roleOf(wire, spec.thermistor));
  const wiring = new Wiring(spec, 1);
  const { network, firstSpareNode: testNode } = wiring;
  const supply = network.addConductor(testNode, BATTERY_NEGATIVE, source(TEST_VOLTS, 1e-3));
  // A meter on every wire at once: ten megohms beside an input's bias change less than the slack of a reading.
  const meters = wires.map((wire) =>
    network.addResistor(wiring.node(wire, 'plug'), BATTERY_NEGATIVE, METER_OHMS),
  );
  const lead = network.addResistor(BATTERY_NEGATIVE, BATTERY_NEGATIVE, Infinity);
  const readAll = (): number[] => {
    if (network.solve() !== 'solved') throw new Error('A scenario has no solution.');
    return wires.map((wire) => network.volts(wiring.node(wire, 'plug')));
  };
  const ohmsToGround = (wire: Lane): number => {
    const node = wiring.node(wire, 'plug');
    network.moveResistor(lead, testNode, node);
    const ohms = ohmsShown((range) => {
      network.setOhms(lead, range);
      network.solve();
      return network.volts(node);
    });
    network.setOhms(lead, Infinity);
    return ohms;
  };
  const inputs = spec.wires.filter(({ end }) => end.kind === 'input').map(({ wire }) => wire);
  /** Which input sees a known voltage that is fed in at a terminal: 0 none, 1 the sensor's own, 2 the temperature. */
  const followsWhenFed = (wire: Lane, faults: readonly Fault[]): number => {
    // A unit that does not read an input shows nothing of what is fed into it.
    const unread = effectsOf(faults).flatMap((effect) => (effect.on === 'converter' ? [effect.wire] : []));
    network.setConductor(supply, source(FED_VOLTS, 1e-3));
    network.moveResistor(lead, testNode, wiring.node(wire, 'plug'));
    network.setOhms(lead, SOURCE_OHMS);
    network.solve();
    const follower = inputs.find(
      (input) =>
        !unread.includes(input) && Math.abs(wiring.inputVolts(input) - FED_VOLTS) < FOLLOWS_WITHIN_VOLTS,
    );
    network.setOhms(lead, Infinity);
    network.setConductor(supply, source(TEST_VOLTS, 1e-3));
    return follower === undefined ? 0 : roleOf(follower, spec.thermistor) === 'temperature' ? 2 : 1;
  };
  const value = (share: number) => profile.lowest + share * (profile.highest - profile.lowest);
  const bring = (
    faults: readonly Fault[],
    share: number,
    celsius: number,
    keyOn: boolean,
    plugged: boolean,
  ) =>
    situate(wiring, body, effectsOf(faults), {
      keyOn,
      plugged,
      trueValue: value(share),
      restingValue: value(0),
      celsius,
    });

  return {
    signature(variants: readonly (readonly Fault[])[]): Omit<Scenario, 'weight'> {
      const shows = wires.map(() => emptyShows());
      for (const faults of variants) {
        bring(faults, 0.5, 25, true, false);
        readAll().forEach((volts, i) => widen(shows[i]!['open-volts'], volts));
        bring(faults, 0.5, 25, false, false);
        for (const meter of meters) network.setOhms(meter, Infinity);
        wires.forEach((wire, i) => widen(shows[i]!['open-ohms'], ohmsToGround(wire)));
        for (const meter of meters) network.setOhms(meter, METER_OHMS);
        bring(faults, 0.5, 25, true, false);
        wires.forEach((wire, i) => widen(shows[i]!.fed, followsWhenFed(wire, faults)));
        const connected = QUANTITIES.flatMap((share) =>
          CELSIUS.map((celsius) => {
            bring(faults, share, celsius, true, true);
            return readAll();
          }),
        );
        for (const volts of connected) volts.forEach((one, i) => widen(shows[i]!['connected-volts'], one));
        // Stimulated at one temperature, from one end of the range to the other.
        const spans = wires.map((_, i) => Math.abs(connected.at(-1)![i]! - connected[1]![i]!));
        spans.forEach((span, i) => {
          if (span > MOVES_AT_LEAST_VOLTS) widen(shows[i]!.moves, 1);
          if (span < MOVES_SURELY_VOLTS) widen(shows[i]!.moves, 0);
        });
      }
      return { roles, shows, answers: shows.map(answersOf) };
    },
  };
}

/** A stimulus may reach only part of the range: what moves a little in the whole may not be seen to move. */
const MOVES_AT_LEAST_VOLTS = 0.03;
const MOVES_SURELY_VOLTS = 1.5;

const emptyShows = (): Record<PlugTest, Shows> =>
  Object.fromEntries(PLUG_TESTS.map((test) => [test, { lowest: Infinity, highest: -Infinity }])) as Record<
    PlugTest,
    Shows
  >;

function widen(shows: Shows, value: number): void {
  shows.lowest = Math.min(shows.lowest, value);
  shows.highest = Math.max(shows.highest, value);
}

/** Kinds of answer that a technician would tell apart: the edges between them. */
const ANSWER_EDGES: Record<PlugTest, readonly number[]> = {
  'open-volts': [0.1, 4.6, 5.6, 10],
  'connected-volts': [0.1, 4.6, 5.6, 10],
  'open-ohms': [30, 5000, 2e6],
  moves: [0.5],
  fed: [0.5, 1.5],
};
export const MOST_ANSWERS = 5;

const answersOf = (shows: Record<PlugTest, Shows>): (readonly [number, number])[] =>
  PLUG_TESTS.map((test) => {
    const kind = (value: number) => ANSWER_EDGES[test].filter((edge) => value > edge).length;
    return [kind(shows[test].lowest), kind(shows[test].highest)] as const;
  });
