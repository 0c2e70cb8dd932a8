import {
  barometerDisplay,
  gaugeDisplay,
  liveData,
  looksRight,
  MACHINES,
  meterDisplay,
  recordSweep,
  simulatedMachine,
  surroundingsOf,
  type BenchMachine,
  type BenchSweep,
  type SimulatedMachine,
} from '@lettura/bench';
import { isPlain, keyOn, type AnyEvidence, type Lane, type MachineState } from '@lettura/core/evidence';
import type { ObservationId, ObservationMade } from '@lettura/core/observation';
import { FAULT_KINDS, faultOf, type Fault } from '@lettura/core/fault';
import { ambientFrom } from '@lettura/core/quantity';
import type { CaseFile } from '@lettura/core/reasoning';
import { analyseSweep } from '@lettura/core/sweep';
import { USUAL_WEIGHTS, usualPriors } from '@lettura/core/starting';
import { COMMON_METER, COMMON_VACUUM_GAUGE } from '@lettura/core/uncertainty';
import {
  candidatesFor,
  drivenStates,
  judgementOn,
  lookAhead,
  mayBeDecided,
  minutesFor,
  MISTAKEN_SHARE,
  standingOf,
  NOTHING,
  Weigher,
  type Candidate,
  type Judgement,
} from '@lettura/core/weighing';

/** One machine, worked through to a verdict or to where no reading tells more. */
export interface WorkedCase {
  machine: string;
  family: string;
  fault: string;
  classTrue: string;
  decided: boolean;
  /** The three leading decisions with their shares. */
  leaders: string;
  /** What was read, in order. */
  trail: string[];
  classSaid: string;
  classShare: number;
  classRight: boolean;
  placeRight: boolean;
  placeShare: number;
  readings: number;
  minutes: number;
  brier: number;
  milliseconds: number;
}

export type Order = 'chosen' | 'textbook';

const MOST_READINGS = 30;

/** A random fault: its kind by how common it is, its site and size evenly. */
function randomFault(machine: BenchMachine, random: () => number): Fault | undefined {
  const subject = { family: machine.sensor.family, wiring: machine.wiring };
  const kinds = FAULT_KINDS.map((kind) => ({ kind, sites: kind.sites(subject) })).filter(
    ({ sites }) => sites.length > 0,
  );
  const priors = usualPriors(machine.sensor.family);
  const total = kinds.reduce((sum, { kind }) => sum + priors[kind.id]!, priors[NOTHING]!);
  let at = random() * total - priors[NOTHING]!;
  if (at < 0) return undefined;
  for (const { kind, sites } of kinds) {
    at -= priors[kind.id]!;
    if (at < 0) return faultOf(kind, sites[Math.floor(random() * sites.length)]!, random());
  }
  return undefined;
}

/** Of the reference: a shift that nobody in the machine notices brings nobody in. */
const NOTICED_SHARE = 0.012;

/** A dead spot is met somewhere on the way, all else at rest, driven, or moved by hand. */
const statesOf = ({ sensor }: BenchMachine, { kind }: Fault): MachineState[] =>
  kind.id === 'dead-spot'
    ? Array.from({ length: 101 }, (_, percent) => ({
        engine: 'koeo',
        plug: 'connected',
        stimulus: { kind: 'held', percent },
      }))
    : drivenStates(sensor);

/** A machine with a complaint, or with one that has gone: what the unit never notices is drawn again. */
function broughtIn(machine: BenchMachine, random: () => number): SimulatedMachine {
  for (;;) {
    const fault = randomFault(machine, random);
    const surroundings = surroundingsOf(machine, random);
    const one = simulatedMachine(machine, fault ? [fault] : [], surroundings);
    if (!fault) return one;
    const sound = simulatedMachine(machine, [], surroundings);
    const noticed = statesOf(machine, fault).some((state) =>
      machine.wiring.wires
        .filter(({ end }) => end.kind === 'input')
        .some(
          ({ wire }) =>
            Math.abs(one.unitReadsVolts(wire, state) - sound.unitReadsVolts(wire, state)) >
            NOTICED_SHARE * machine.wiring.unitVolts,
        ),
    );
    if (noticed) return one;
  }
}

/** Takes a reading as a technician would: with the noise of the instrument, and now and then a slipped probe. */
function read(
  machine: SimulatedMachine,
  { target, state }: Candidate,
  tick: number,
  seed: number,
  random: () => number,
): AnyEvidence | ObservationMade | BenchSweep | undefined {
  const { wiring, sensor } = machine.machine;
  const slips = random() < MISTAKEN_SHARE;
  const other = random();
  const id = String(tick);
  switch (target.kind) {
    case 'wire': {
      const wires = wiring.wires.map(({ wire }) => wire);
      const lane = slips ? wires[Math.floor(other * wires.length)]! : target.lane;
      const volts = machine.voltsBetween(
        { lane, place: target.place },
        'battery-negative',
        onMachine(state, wiring),
      );
      return {
        kind: 'wire',
        id,
        lane: target.lane,
        place: target.place,
        state,
        volts: meterDisplay(volts, seed, tick).volts,
      };
    }
    case 'between': {
      const volts = slips ? 5 * other : machine.voltsBetween(target.from, target.to, state);
      return { ...target, kind: 'between', id, state, volts: meterDisplay(volts, seed, tick).volts };
    }
    case 'ohms': {
      const ohms = slips ? 10 ** (7 * other) : machine.ohmsBetween(target.from, target.to, state);
      return { ...target, kind: 'ohms', id, state, ohms: ohms === Infinity ? null : ohms };
    }
    case 'observation':
      return look(machine, target.observation, random);
    case 'sweep':
      return recordSweep(machine, { engine: 'koeo', plug: 'connected' }, seed);
    case 'scan': {
      const shown = keyOn(state) ? liveData(machine, state) : undefined;
      const { measures, lowest, highest } = sensor.profile;
      const value = slips ? lowest + other * (highest - lowest) : shown?.value;
      return value === undefined ? undefined : { kind: 'scan', id, measures, value, state };
    }
    case 'gauge': {
      const gauge = gaugeDisplay(machine, state, target.tap, seed);
      if (!gauge) return undefined;
      const basis = gauge.basis === 'differential' ? 'gauge' : gauge.basis;
      const pressureKpa = slips ? other * 80 : gauge.pressureKpa;
      return { kind: 'gauge', id, tap: target.tap, pressureKpa, basis, state };
    }
  }
}

/** Of the codes that the machine sets at rest and moved, those that somebody wrote down; now and then one of another day. */
function codesNoted(machine: SimulatedMachine, random: () => number): string[] {
  const { sensor, codes } = machine.machine;
  const set = drivenStates(sensor).flatMap((state) => liveData(machine, state)?.codes ?? []);
  const old = Object.values(codes).flatMap(({ low, high }) => [low, high]);
  return [
    ...[...new Set(set)].filter(() => random() < CODE_NOTED),
    ...old.filter(() => random() < OLD_CODE / old.length),
  ];
}
const CODE_NOTED = 0.85;
const OLD_CODE = 0.06;

/** A look finds most of what is there to be seen, and now and then what is not. */
const LOOK_FINDS = 0.9;
const LOOK_IMAGINES = 0.03;

function look(machine: SimulatedMachine, observation: ObservationId, random: () => number): ObservationMade {
  const there = !looksRight(machine, observation);
  return { id: observation, observation, holds: random() >= (there ? LOOK_FINDS : LOOK_IMAGINES) };
}

/** Whoever unplugs the neighbours unplugs all that this machine has. */
const onMachine = (state: MachineState, { rails }: BenchMachine['wiring']): MachineState =>
  state.harness
    ? {
        ...state,
        harness: {
          ...state.harness,
          neighboursOff: rails.flatMap((rail) => rail.neighbourOhms).map((_, i) => i),
        },
      }
    : state;

/** The order of a textbook: supply, return, signal, live data, then what moves, then the far end, then the plug off. */
function textbookOrder(machine: BenchMachine, wires: readonly Lane[]): Candidate[] {
  const all = candidatesFor(machine.sensor, wires);
  const rank = ({ target, state }: Candidate): number => {
    const moved = state.engine !== 'koeo' || state.stimulus !== undefined;
    if (target.kind === 'gauge') return 7;
    if (target.kind === 'sweep') return 7.5;
    if (target.kind === 'observation') return 6.5;
    if (state.harness) return 13;
    if (target.kind === 'scan') return moved ? 6 : 4;
    if (target.kind !== 'wire') return 12;
    if (state.plug === 'unplugged') return 9;
    if (target.place === 'unit') return 8;
    if (target.place === 'connector') return 10;
    return moved ? 5 : target.lane.endsWith('signal') ? 3 : target.lane.endsWith('return') ? 2 : 1;
  };
  return all
    .map((one, i) => ({ one, at: rank(one) + i / 1000 }))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one);
}

const shownBy = (taken: AnyEvidence | ObservationMade | BenchSweep): string =>
  'recording' in taken
    ? 'recorded'
    : 'holds' in taken
      ? String(taken.holds)
      : taken.kind === 'gauge'
        ? `${taken.pressureKpa}`
        : taken.kind === 'ohms'
          ? `${taken.ohms}`
          : taken.kind === 'scan'
            ? `${taken.value}`
            : `${taken.volts}`;

const sweepOnRecord = ({ recording, uses }: BenchSweep, { profile, companion, pressureUnit }: CaseFile) => ({
  name: 'Sweep',
  uses,
  findings: analyseSweep(recording, { uses, profile, companion, pressureUnit }),
});

const weighers = new Map<string, Weigher>();

function workThrough(one: SimulatedMachine, order: Order, seed: number, random: () => number): WorkedCase {
  const { machine, faults } = one;
  const [fault] = faults;
  const ambient = ambientFrom({ source: 'barometer', stationKpaAbs: barometerDisplay(one) });
  const { family, profile, companion } = machine.sensor;
  const wires = machine.wiring.wires.map(({ wire }) => wire);
  let caseFile: CaseFile = {
    family,
    profile,
    companion,
    ambient: ambient.ok ? { ...ambient.value, airCelsius: one.airCelsius } : undefined,
    readings: [],
    isolation: [],
    observations: [],
    codes: codesNoted(one, random),
    starting: USUAL_WEIGHTS,
    sweeps: [],
    displacementLitres: machine.litres,
    meter: COMMON_METER,
    gauge: COMMON_VACUUM_GAUGE,
    pressureUnit: 'kPa',
  };
  const weigher = weighers.get(machine.id) ?? new Weigher(caseFile, wires);
  weighers.set(machine.id, weigher);
  const textbook = textbookOrder(machine, wires);
  const inOrder: AnyEvidence[] = [];
  let minutes = 0;
  let judgement: Judgement | undefined;
  let milliseconds = 0;
  const refused = new Set<string>();
  const trail: string[] = [];
  for (let tick = 1; tick <= MOST_READINGS; tick++) {
    const start = performance.now();
    const standing = standingOf(weigher.caseOf(caseFile), caseFile, wires);
    // A fixed order looks ahead only where a verdict may be given.
    const looks = order === 'chosen' || mayBeDecided(standing);
    judgement = judgementOn(standing, looks ? [...lookAhead(weigher, caseFile, wires, standing)] : undefined);
    milliseconds += performance.now() - start;
    if (judgement.verdict !== 'open') break;
    const open =
      order === 'chosen' ? judgement.suggestions.map(({ candidate }) => candidate) : textbook.slice();
    const next = open.find((candidate) => !refused.has(JSON.stringify(candidate)));
    if (!next) break;
    refused.add(JSON.stringify(next));
    const taken = read(one, next, tick, seed, random);
    if (!taken) continue;
    minutes += minutesFor(next, inOrder);
    trail.push(
      `${JSON.stringify(next.target)} ${next.state.engine} ${next.state.plug} ${JSON.stringify(next.state.stimulus ?? '')}: ${shownBy(taken)}`,
    );
    if ('holds' in taken) {
      caseFile = { ...caseFile, observations: [...caseFile.observations, taken] };
      continue;
    }
    if ('recording' in taken) {
      caseFile = { ...caseFile, sweeps: [sweepOnRecord(taken, caseFile)] };
      continue;
    }
    inOrder.push(taken);
    caseFile = {
      ...caseFile,
      readings: inOrder.filter(isPlain),
      isolation: inOrder.filter((reading) => !isPlain(reading)),
    };
  }
  const { ranked, classes, verdict, decisions } = judgement!;
  const classTrue = fault?.kind.class ?? NOTHING;
  const h = weigher.hypotheses.findIndex(
    ({ id, kind }) =>
      id === (fault ? `${fault.kind.id} ${fault.site.id}` : NOTHING) ||
      // The unit of the model has one neighbour on its rail, a machine may have more.
      (fault?.kind.id === 'rail-pulled-down' && kind?.id === fault.kind.id),
  );
  const [said] = classes;
  return {
    machine: machine.id,
    family,
    fault: fault ? `${fault.kind.id} ${fault.site.id}` : NOTHING,
    classTrue,
    decided: verdict === 'decided',
    trail,
    leaders: ranked
      .slice(0, 3)
      .map(({ decision, share }) => `${decision.id} ${share.toFixed(2)}`)
      .join(', '),
    classSaid: said!.class,
    classShare: said!.share,
    classRight: said!.class === classTrue,
    placeRight: h >= 0 && decisions.all[decisions.of[h]!] === ranked[0]!.decision,
    placeShare: ranked[0]!.share,
    readings: inOrder.length + caseFile.sweeps.length + caseFile.observations.length,
    minutes,
    brier: classes.reduce(
      (sum, { class: sort, share }) => sum + (share - (sort === classTrue ? 1 : 0)) ** 2,
      0,
    ),
    milliseconds,
  };
}

/** Machines of every family with random faults, each worked through in one order; the machines take turns. */
export function* eachWorkedCase(
  casesAMachine: number,
  order: Order,
  seed = 1,
  of: (machine: BenchMachine) => boolean = () => true,
): Generator<WorkedCase> {
  let state = seed;
  const random = () => (state = (state * 16807) % 2147483647) / 2147483647;
  const machines = MACHINES.filter((machine) => !machine.telegrams && of(machine));
  for (let turn = 0; turn < casesAMachine; turn++)
    for (const machine of machines) {
      const one = broughtIn(machine, random);
      // Both orders meet the same machines, with the same noise.
      const own = Math.floor(random() * 2147483646) + 1;
      let ownState = own;
      const ownRandom = () => (ownState = (ownState * 48271) % 2147483647) / 2147483647;
      yield workThrough(one, order, own, ownRandom);
    }
}

export const workedCases = (...given: Parameters<typeof eachWorkedCase>): WorkedCase[] => [
  ...eachWorkedCase(...given),
];
