import { MACHINES, simulatedMachine, surroundingsOf } from '@lettura/bench';
import { FAULT_KINDS, faultOf } from '@lettura/core/machine/fault';
import { NOTHING, usualPriors } from '@lettura/core/judge/priors';
import { MISTAKEN_SHARE } from '@lettura/core/judge/weighing';
import { expect, test } from 'vitest';
import { broughtIn } from './broughtIn.ts';
import { codesNoted, read } from './technician.ts';

const KOEO = { engine: 'koeo', plug: 'connected' } as const;
const machine = MACHINES.find(({ id }) => id === 'brill-p4')!;

function randomFrom(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48271) % 2147483647) / 2147483647;
}

/** A machine with one fault, or none. */
function machineWith(id?: string, at = '') {
  const kind = FAULT_KINDS.find((one) => one.id === id);
  const site = kind
    ?.sites({ family: machine.sensor.family, wiring: machine.wiring })
    .find((one) => one.id.startsWith(at));
  return simulatedMachine(
    machine,
    kind && site ? [faultOf(kind, site, 1)] : [],
    surroundingsOf(machine, () => 0.5),
  );
}

const shareOf = (count: number, of: (i: number) => boolean) =>
  Array.from({ length: count }, (_, i) => i).filter(of).length / count;
/** Three standard deviations of a count of so many. */
const within = (share: number, count: number) => 3 * Math.sqrt((share * (1 - share)) / count);

test('a probe slips onto another wire about as often as the weighing allows for, and else reads what is there', () => {
  const one = machineWith();
  const there = one.voltsBetween({ lane: 'signal', place: 'plug' }, 'battery-negative', KOEO);
  const random = randomFrom(11);
  const COUNT = 3000;
  const off = shareOf(COUNT, (i) => {
    const taken = read(
      one,
      { target: { kind: 'wire', lane: 'signal', place: 'plug' }, state: KOEO },
      i,
      7,
      random,
    );
    if (!taken || !('volts' in taken)) throw new Error('A wire gives volts.');
    return Math.abs(taken.volts - there) > 0.03;
  });
  // One wire in three is the right one all the same.
  const slipped = (MISTAKEN_SHARE * 2) / 3;
  expect(Math.abs(off - slipped)).toBeLessThan(within(slipped, COUNT));
});

test('a look finds nine of ten faults, and imagines one in thirty-three', () => {
  const random = randomFrom(5);
  const found = (id: string | undefined) => {
    const one = machineWith(id);
    return shareOf(2000, (i) => {
      const taken = read(
        one,
        { target: { kind: 'observation', observation: 'hose' }, state: KOEO },
        i,
        7,
        random,
      );
      return taken !== undefined && 'holds' in taken && !taken.holds;
    });
  };
  expect(Math.abs(found('hose') - 0.9)).toBeLessThan(within(0.9, 2000));
  expect(Math.abs(found(undefined) - 0.03)).toBeLessThan(within(0.03, 2000));
});

test('live data, gauge and ohms are given where the machine has them', () => {
  const one = machineWith();
  const straight = () => 0.5;
  const taken = (target: Parameters<typeof read>[1]['target'], state = KOEO) =>
    read(one, { target, state }, 1, 7, straight);
  expect(taken({ kind: 'scan' })).toMatchObject({ kind: 'scan', measures: 'absolute-pressure' });
  expect(taken({ kind: 'gauge', tap: 'manifold' })).toMatchObject({ kind: 'gauge', tap: 'manifold' });
  expect(read(one, { target: { kind: 'scan' }, state: { ...KOEO, engine: 'key-off' } }, 1, 7, straight)).toBe(
    undefined,
  );
});

test('codes that the machine sets are mostly noted, and seldom one of another day', () => {
  const random = randomFrom(9);
  const broken = machineWith('wire-open', 'signal');
  const { low } = Object.values(machine.codes)[0]!;
  const noted = Array.from({ length: 1000 }, () => codesNoted(broken, random));
  const share = noted.filter((codes) => codes.includes(low)).length / noted.length;
  expect(share).toBeGreaterThan(0.8);
  expect(share).toBeLessThan(0.9);
  const sound = machineWith();
  const old = Array.from({ length: 1000 }, () => codesNoted(sound, random)).filter(
    ({ length }) => length > 0,
  );
  expect(Math.abs(old.length / 1000 - 0.06)).toBeLessThan(within(0.06, 1000));
});

test('machines are brought in with faults as common as the starting weights say, and the same ones from the same seed', () => {
  const from = (seed: number, count: number) => {
    const random = randomFrom(seed);
    return Array.from({ length: count }, () => {
      const [fault] = broughtIn(machine, random).faults;
      return fault ? fault.kind.id : NOTHING;
    });
  };
  expect(from(3, 12)).toEqual(from(3, 12));
  const COUNT = 120;
  const kinds = from(4, COUNT);
  const priors = usualPriors(machine.sensor.family);
  const possible = FAULT_KINDS.filter(
    (kind) => kind.sites({ family: machine.sensor.family, wiring: machine.wiring }).length > 0,
  );
  const total = possible.reduce((sum, { id }) => sum + priors[id], priors[NOTHING]);
  for (const id of ['wire-open', NOTHING] as const) {
    const share = kinds.filter((kind) => kind === id).length / COUNT;
    const wanted = priors[id] / total;
    // What nobody would notice is drawn again: the others are a little more common for it.
    expect(share).toBeGreaterThan(wanted - within(wanted, COUNT));
    expect(share).toBeLessThan(1.4 * wanted + within(wanted, COUNT));
  }
  for (const kind of kinds) expect([NOTHING, ...possible.map(({ id }) => id)]).toContain(kind);
});
