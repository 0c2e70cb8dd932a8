import { MACHINES, type BenchMachine, type BenchSweep, type SimulatedMachine } from '@lettura/bench';
import { isPlain, type AnyEvidence } from '@lettura/core/record/evidence';
import { isReturn, isSignal, type Lane } from '@lettura/core/machine/places';
import type { CaseFile } from '@lettura/core/judge/checks';
import { analyseSweep } from '@lettura/core/recording/sweep';
import {
  candidatesFor,
  judgementOn,
  lookAhead,
  mayBeDecided,
  minutesFor,
  standingOf,
  NOTHING,
  Weigher,
  type Candidate,
  type Judgement,
} from '@lettura/core/judge/weighing';
import { broughtIn } from './broughtIn.ts';
import { openedCase } from './openedCase.ts';
import { codesNoted, read, shownBy } from './technician.ts';

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
    return moved ? 5 : isSignal(target.lane) ? 3 : isReturn(target.lane) ? 2 : 1;
  };
  return all
    .map((one, i) => ({ one, at: rank(one) + i / 1000 }))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one);
}

const sweepOnRecord = ({ recording, uses }: BenchSweep, { profile, companion }: CaseFile) => ({
  name: 'Sweep',
  uses,
  findings: analyseSweep(recording, { uses, profile, companion }),
});

const weighers = new Map<string, Weigher>();

function workThrough(one: SimulatedMachine, order: Order, seed: number, random: () => number): WorkedCase {
  const { machine, faults } = one;
  const [fault] = faults;
  const wires = machine.wiring.wires.map(({ wire }) => wire);
  let caseFile = openedCase(one, codesNoted(one, random));
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
    family: machine.sensor.family,
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
