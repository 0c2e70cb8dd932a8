import { MACHINES, type BenchMachine, type SimulatedMachine } from '@lettura/bench';
import { isReturn, isSignal, type Lane } from '@lettura/core/machine/places';
import { candidatesFor, decisionsFor, NOTHING, Weigher, type Candidate } from '@lettura/core/judge/weighing';
import { broughtIn } from './broughtIn.ts';
import { openedCase } from './openedCase.ts';
import { codesNoted, read } from './technician.ts';
import { workThrough, type Order } from './workThrough.ts';
import { type Patient, type WorkedCase } from './patient.ts';

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

const wiresOf = ({ wiring }: BenchMachine): Lane[] => wiring.wires.map(({ wire }) => wire);

const weighers = new Map<string, Weigher>();

function patientOf(one: SimulatedMachine, seed: number, random: () => number): Patient {
  const { machine, faults } = one;
  const [fault] = faults;
  const wires = wiresOf(machine);
  const opened = openedCase(one, codesNoted(one, random));
  const weigher = weighers.get(machine.id) ?? new Weigher(opened, wires);
  weighers.set(machine.id, weigher);
  const { hypotheses } = weigher;
  const h = hypotheses.findIndex(
    ({ id, kind }) =>
      id === (fault ? `${fault.kind.id} ${fault.site.id}` : NOTHING) ||
      // The unit of the model has one neighbour on its rail, a machine may have more.
      (fault?.kind.id === 'rail-pulled-down' && kind?.id === fault.kind.id),
  );
  const decisions = decisionsFor(hypotheses);
  return {
    machine: machine.id,
    family: machine.sensor.family,
    opened,
    wires,
    weigher,
    read: (candidate, tick) => read(one, candidate, tick, seed, random),
    fault: fault ? `${fault.kind.id} ${fault.site.id}` : NOTHING,
    classTrue: fault?.kind.class ?? NOTHING,
    outside: false,
    isRight: ({ id }) => h >= 0 && decisions.all[decisions.of[h]!]!.id === id,
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
      yield workThrough(
        patientOf(one, own, ownRandom),
        order === 'textbook' ? textbookOrder(machine, wiresOf(machine)) : undefined,
      );
    }
}

export const workedCases = (...given: Parameters<typeof eachWorkedCase>): WorkedCase[] => [
  ...eachWorkedCase(...given),
];
