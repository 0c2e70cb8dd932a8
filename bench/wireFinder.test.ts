import type { Lane } from '@lettura/core/machine/places';
import { FAULT_KINDS, faultOf, type Fault } from '@lettura/core/machine/fault';
import {
  findWires,
  roleOf,
  type PlugReading,
  type PlugTest,
  type TerminalCount,
} from '@lettura/core/judge/wireFinder';
import { expect, test } from 'vitest';
import {
  measureTerminal,
  MACHINES,
  simulatedMachine,
  surroundingsOf,
  type BenchMachine,
  type SimulatedMachine,
} from './index.ts';
import { seededRandom } from './random.ts';

/** A plug of a bench machine with its terminals in any order, and with or without one fault. */
interface Plug {
  name: string;
  order: Lane[];
  machine: SimulatedMachine;
  faulty: boolean;
}

function randomPlug(seed: number): Plug {
  const random = seededRandom(seed * 7919);
  const machine = MACHINES[seed % MACHINES.length]!;
  const order = shuffled(
    machine.wiring.wires.map(({ wire }) => wire),
    random,
  );
  const faulty = random() < 0.5;
  const fault = faulty ? randomFault(machine, random) : undefined;
  const name = `${seed} ${machine.id} ${fault ? `${fault.kind.id} ${fault.site.id} ${fault.size}` : 'sound'}`;
  const simulated = simulatedMachine(machine, fault ? [fault] : [], surroundingsOf(machine, random));
  return { name, order, machine: simulated, faulty };
}

function randomFault({ sensor, wiring }: BenchMachine, random: () => number): Fault {
  const sited = FAULT_KINDS.flatMap((kind) =>
    kind.sites({ family: sensor.family, wiring }).map((site) => ({ kind, site })),
  );
  const { kind, site } = sited[Math.floor(random() * sited.length)]!;
  return faultOf(kind, site, random());
}

function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const left = [...list];
  return list.map(() => left.splice(Math.floor(random() * left.length), 1)[0]!);
}

const measure = ({ machine, order }: Plug, terminal: number, test: PlugTest): number =>
  measureTerminal(machine, order[terminal]!, test);

/** Follows the finder from measurement to measurement until it asks for nothing more. */
function work(plug: Plug, allowed?: readonly PlugTest[]) {
  const readings: PlugReading[] = [];
  for (;;) {
    const found = findWires(plug.order.length as TerminalCount, readings, allowed);
    if (!found.next || readings.length >= 30) return { found, readings };
    const { terminal, test } = found.next;
    readings.push({ terminal, test, value: measure(plug, terminal, test) });
  }
}

const truth = (plug: Plug, terminal: number) =>
  roleOf(plug.order[terminal]!, plug.machine.machine.wiring.thermistor);

const PLUGS = Array.from({ length: 312 }, (_, i) => randomPlug(i + 1));
const worked = PLUGS.map((plug) => ({ plug, ...work(plug) }));

test('over 312 plugs of every machine, in any order, sound and with a fault, no name that is called certain is wrong', () => {
  const wrong = worked.flatMap(({ plug, found }) =>
    found.terminals
      .filter(({ confidence, role, terminal }) => confidence === 'certain' && role !== truth(plug, terminal))
      .map(({ role, terminal }) => `${plug.name}: ${truth(plug, terminal)} called ${role}`),
  );
  expect(wrong).toEqual([]);
});

test('nearly every terminal of a sound plug is named rightly, with few measurements', () => {
  const sound = worked.filter(({ plug }) => !plug.faulty);
  const named = sound.flatMap(({ plug, found }) =>
    found.terminals.map(({ role, confidence, terminal }) => ({
      right: role === truth(plug, terminal),
      told: confidence !== 'open',
    })),
  );
  const share = named.filter(({ right, told }) => right && told).length / named.length;
  const mean = sound.reduce((sum, { readings }) => sum + readings.length, 0) / sound.length;
  const terminals = sound.reduce((sum, { plug }) => sum + plug.order.length, 0) / sound.length;
  console.log(
    `Wire finder, sound plugs: ${(100 * share).toFixed(1)} % of terminals named rightly, ${mean.toFixed(1)} measurements for ${terminals.toFixed(1)} terminals; all plugs: ${(worked.reduce((sum, { readings }) => sum + readings.length, 0) / worked.length).toFixed(1)}`,
  );
  expect(share).toBeGreaterThan(0.95);
  expect(mean).toBeLessThan(2 * terminals);
});

test('a faulty plug is named, left open, or called contradictory; a name that it gets is seldom wrong', () => {
  const named = worked
    .filter(({ plug }) => plug.faulty)
    .flatMap(({ plug, found }) =>
      found.terminals
        .filter(({ confidence }) => confidence !== 'open')
        .map(({ role, terminal, confidence }) => ({ right: role === truth(plug, terminal), confidence })),
    );
  const right = named.filter((one) => one.right).length / named.length;
  const likely = named.filter(({ confidence }) => confidence === 'likely');
  console.log(
    `Wire finder, faulty plugs: ${named.length} names, ${(100 * right).toFixed(1)} % right; of ${likely.length} only likely ones ${likely.filter((one) => one.right).length}`,
  );
  expect(right).toBeGreaterThan(0.97);
});

test('with the plug left on, or left off, it names what can be named and never wrongly for certain', () => {
  for (const allowed of [
    ['connected-volts', 'moves'],
    ['open-volts', 'open-ohms'],
  ] as const)
    for (const plug of PLUGS.slice(0, 26))
      for (const { confidence, role, terminal } of work(plug, allowed).found.terminals)
        if (confidence === 'certain') expect(role, plug.name).toBe(truth(plug, terminal));
}, 60_000);

test('nothing is said before anything is read', () => {
  const { terminals, next } = findWires(4, []);
  expect(terminals.every(({ confidence }) => confidence === 'open')).toBe(true);
  expect(next).toBeDefined();
});

test('readings that nothing known can give are called contradictory', () => {
  const impossible = [0, 1, 2].map((terminal) => ({ terminal, test: 'open-volts' as const, value: -9 }));
  expect(findWires(3, impossible).contradictory).toBe(true);
});
