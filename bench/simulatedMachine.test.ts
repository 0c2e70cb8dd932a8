import { inWords } from '@lettura/words';
import {
  PLACES,
  type Lane,
  NO_HARNESS_WORK,
  type Attachment,
  type MachineState,
} from '@lettura/core/machine/places';
import { FAMILY_IDS } from '@lettura/core/machine/family';
import { faultKind, faultOf, type Fault, type FaultKindId, type SiteId } from '@lettura/core/machine/fault';
import { expect, test } from 'vitest';
import {
  BRILL_P4,
  CASE_LETTERS,
  machineById,
  MACHINES,
  practiceMachine,
  simulatedMachine,
  surroundingsOf,
  whatWasWrong,
  type BenchMachine,
  type CaseLetter,
  type SimulatedMachine,
} from './index.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const idle: MachineState = { engine: 'idle', plug: 'connected' };
const off: MachineState = { engine: 'koeo', plug: 'unplugged' };
const attached = (state: MachineState, attachment: Attachment): MachineState => ({
  ...state,
  harness: { ...NO_HARNESS_WORK, attachments: [attachment] },
});
const SEEDS = Array.from({ length: 20 }, (_, i) => i + 1);

const volts = (
  machine: SimulatedMachine,
  wire: Lane,
  setup: MachineState,
  place: 'unit' | 'plug' = 'plug',
): number => machine.voltsBetween({ lane: wire, place }, 'battery-negative', setup);
/** What a case of the pump engine must look like, on every individual of it. */
const eachMachine = (letter: CaseLetter, check: (machine: SimulatedMachine) => void) =>
  SEEDS.forEach((seed) => check(practiceMachine(BRILL_P4, letter, seed)));

export function withFault(
  machine: BenchMachine,
  kindId: FaultKindId,
  siteId: SiteId,
  at = 0.5,
): SimulatedMachine {
  const kind = faultKind(kindId);
  const site = kind
    .sites({ family: machine.sensor.family, wiring: machine.wiring })
    .find(({ id }) => id === siteId)!;
  const faults: Fault[] = [faultOf(kind, site, at)];
  return simulatedMachine(
    machine,
    faults,
    surroundingsOf(machine, () => 0.5),
  );
}

test('there are more than six machines, they cover every family, and their names differ', () => {
  const families = new Set<string>(MACHINES.map(({ sensor }) => sensor.family));
  expect(FAMILY_IDS.filter((id) => id !== 'other' && !families.has(id))).toEqual([]);
  expect(new Set(MACHINES.map(({ id }) => id)).size).toBe(MACHINES.length);
  expect(new Set(MACHINES.map(({ name }) => name)).size).toBe(MACHINES.length);
  expect(machineById(undefined)).toBe(BRILL_P4);
});

test.each(MACHINES.map((machine) => [machine.name, machine] as const))(
  '%s: every letter hides what its machine can have, one of them nothing, and is told in words afterwards',
  (_name, machine) => {
    for (const letter of CASE_LETTERS) {
      expect(inWords(whatWasWrong(practiceMachine(machine, letter, 11)))).toMatch(/\.$/u);
    }
    const hidden = CASE_LETTERS.map((letter) => inWords(whatWasWrong(practiceMachine(machine, letter, 11))));
    expect(hidden.filter((words) => words === 'Nothing was wrong.')).toHaveLength(1);
    expect(new Set(hidden).size).toBe(CASE_LETTERS.length);
  },
);

test('the same seed is the same machine, another seed is another', () => {
  const shifted = (seed: number) => volts(practiceMachine(BRILL_P4, 'G', seed), 'signal', koeo);
  expect(shifted(7)).toBe(shifted(7));
  expect(shifted(7)).not.toBe(shifted(8));
});

test('a sound pump engine: reference within 0.1 V, return within 50 mV, signal at ambient (hand: 5·(0.0078·100.9 + 0.02))', () => {
  eachMachine('B', (machine) => {
    expect(Math.abs(volts(machine, 'reference', koeo) - 5)).toBeLessThan(0.1);
    expect(volts(machine, 'return', koeo)).toBeLessThan(0.05);
    expect(Math.abs(volts(machine, 'signal', koeo) - 4.035)).toBeLessThan(0.06);
    // The unit's own half ampere leaves 5 mV on its ground, what leaks into the input 2 mV more over its 470 kΩ.
    expect(volts(machine, 'signal', off)).toBeCloseTo(0.007, 3);
  });
});

test('an open reference leaves the plug dead and the unit at 5 V, plugged or not', () => {
  eachMachine('D', (machine) => {
    for (const setup of [koeo, off]) expect(volts(machine, 'reference', setup)).toBeLessThan(0.1);
    expect(volts(machine, 'reference', koeo, 'unit')).toBeGreaterThan(4.9);
    expect(volts(machine, 'signal', koeo)).toBeLessThan(0.1);
  });
});

test('a resistance in the return lifts the return under load, and not with the plug off', () => {
  eachMachine('F', (machine) => {
    // 45 to 110 Ω at about 7 mA.
    expect(volts(machine, 'return', koeo)).toBeGreaterThan(0.25);
    expect(volts(machine, 'return', koeo)).toBeLessThan(0.8);
    expect(volts(machine, 'return', off)).toBeLessThan(0.006);
    // The unit's own half ampere over its 10 mΩ of ground.
    expect(volts(machine, 'return', koeo, 'unit')).toBeLessThan(0.01);
  });
});

test('an open signal wire is right at the plug and pulled down at the unit', () => {
  eachMachine('A', (machine) => {
    expect(volts(machine, 'signal', koeo)).toBeGreaterThan(3.9);
    expect(volts(machine, 'signal', koeo, 'unit')).toBeLessThan(0.01);
  });
});

test('a signal that touches the reference sits at it, whatever the engine does', () => {
  eachMachine('H', (machine) => {
    for (const setup of [koeo, idle, off]) expect(volts(machine, 'signal', setup)).toBeGreaterThan(4.75);
  });
});

test('a stuck sensor stays, an offset sensor moves and is wrong', () => {
  eachMachine('C', (machine) =>
    expect(volts(machine, 'signal', idle)).toBeCloseTo(volts(machine, 'signal', koeo), 9),
  );
  SEEDS.forEach((seed) => {
    const shifted = practiceMachine(BRILL_P4, 'G', seed);
    const sound = practiceMachine(BRILL_P4, 'B', seed);
    expect(volts(shifted, 'signal', koeo) - volts(sound, 'signal', koeo)).toBeGreaterThan(0.4);
    expect(volts(shifted, 'signal', koeo) - volts(shifted, 'signal', idle)).toBeGreaterThan(2);
  });
});

test('low vacuum is the engine’s: a gauge at the manifold sees it, and the wires are those of a sound machine', () => {
  eachMachine('E', (machine) => {
    expect(machine.quantity(idle, 'source')).toBeGreaterThan(48);
    expect(machine.quantity(koeo, 'source')).toBe(machine.ambientKpaAbs);
    expect(volts(machine, 'return', koeo)).toBeLessThan(0.05);
  });
});

test('a blocked hose is seen at the sensor and not at the manifold', () => {
  const machine = withFault(machineById('reedcutter-rc2'), 'hose', 'hose', 0);
  expect(machine.quantity(idle, 'source')).toBeLessThan(36);
  expect(machine.quantity(idle, 'sensor')).toBeCloseTo(machine.ambientKpaAbs, 6);
});

test('a contact that opens when the loom is moved is right while nobody does', () => {
  const machine = practiceMachine(machineById('reedcutter-rc2'), 'F', 4);
  const still = volts(machine, 'signal', koeo, 'unit');
  expect(still).toBeGreaterThan(4);
  expect(
    volts(machine, 'signal', { ...koeo, harness: { ...NO_HARNESS_WORK, wiggled: true } }, 'unit'),
  ).not.toBeCloseTo(still, 1);
  expect(volts(machine, 'signal', koeo, 'unit')).toBeCloseTo(still, 9);
});

test('a shorted neighbour takes the reference down until it is unplugged', () => {
  const machine = withFault(BRILL_P4, 'rail-pulled-down', 'neighbour:0', 0.2);
  expect(volts(machine, 'reference', koeo)).toBeLessThan(1);
  expect(
    volts(machine, 'reference', { ...koeo, harness: { ...NO_HARNESS_WORK, neighboursOff: [0] } }),
  ).toBeGreaterThan(4.9);
});

test('every dead spot of a practice case lies where the travel meets it', () => {
  for (const machine of MACHINES)
    for (const letter of CASE_LETTERS) {
      if (!machine.cases[letter].some(({ kind }) => kind === 'dead-spot')) continue;
      for (const seed of SEEDS) {
        const one = practiceMachine(machine, letter, seed);
        const wire = machine.cases[letter][0]!.site === 'track:2' ? 'second-signal' : 'signal';
        const at = (percent: number, hidden: SimulatedMachine) =>
          volts(hidden, wire, { ...koeo, stimulus: { kind: 'held', percent } });
        const sound = simulatedMachine(
          machine,
          [],
          surroundingsOf(machine, () => 0.5),
        );
        const positions = Array.from({ length: 101 }, (_, percent) => percent);
        const off = positions.filter((percent) => Math.abs(at(percent, one) - at(percent, sound)) > 0.15);
        expect(off.length, `${machine.id} ${letter} ${seed}`).toBeGreaterThanOrEqual(2);
        expect(off[0]).toBeGreaterThan(0);
        expect(off.at(-1)).toBeLessThan(100);
      }
    }
});

test('both tracks of a pair die with a feed lost inside the housing', () => {
  const machine = practiceMachine(machineById('larch-throttle'), 'A', 3);
  expect(volts(machine, 'reference', koeo)).toBeGreaterThan(4.9);
  for (const wire of ['signal', 'second-signal'] as const)
    expect(volts(machine, wire, koeo)).toBeLessThan(0.3);
});

test('a jumper past a broken wire brings the supply back; a known voltage is followed by the unit', () => {
  const open = withFault(BRILL_P4, 'wire-open', 'reference:first');
  const jumper = {
    kind: 'jumper',
    from: { lane: 'reference', place: 'unit' },
    to: { lane: 'reference', place: 'plug' },
  } as const;
  expect(volts(open, 'reference', attached(koeo, jumper))).toBeGreaterThan(4.9);
  const fed = attached(off, { kind: 'voltage-source', at: { lane: 'signal', place: 'plug' }, volts: 1.6 });
  expect(practiceMachine(BRILL_P4, 'B', 1).unitReadsVolts('signal', fed)).toBeCloseTo(1.6 - 0.006, 3);
});

test('a test light draws from a feed what a broken wire cannot give', () => {
  const light = attached(off, {
    kind: 'test-light',
    from: { lane: 'battery-feed', place: 'plug' },
    to: 'battery-negative',
  });
  const feed = machineById('eastfen-pump-2');
  expect(practiceMachine(feed, 'A', 1).lampAmps(light)).toBeCloseTo(12.6 / 48, 1);
  // 100 Ω still show 12 V to a meter, and leave a third of the current to a lamp.
  const bad = withFault(feed, 'wire-high-resistance', 'battery-feed:first');
  expect(volts(bad, 'battery-feed', off)).toBeGreaterThan(12);
  expect(bad.lampAmps(light)).toBeLessThan(0.1);
});

test('no reading goes past the network: a changed part changes what every instrument shows', () => {
  const changed: BenchMachine = { ...BRILL_P4, wiring: { ...BRILL_P4.wiring, segmentOhms: 30 } };
  const machines = [BRILL_P4, changed].map((machine) =>
    simulatedMachine(
      machine,
      [],
      surroundingsOf(machine, () => 0.5),
    ),
  );
  const differ = (read: (machine: SimulatedMachine) => number) => {
    const [before, after] = machines.map(read);
    expect(Math.abs(after! - before!)).toBeGreaterThan(1e-4);
  };
  for (const wire of ['reference', 'signal', 'return'] as const)
    differ((machine) => volts(machine, wire, koeo));
  differ((machine) => machine.unitReadsVolts('signal', koeo));
  differ((machine) =>
    machine.ohmsBetween(
      { lane: 'return', place: 'plug' },
      { lane: 'return', place: 'unit' },
      { engine: 'key-off', plug: 'unplugged' },
    ),
  );
  const light = attached(koeo, {
    kind: 'test-light',
    from: { lane: 'return', place: 'plug' },
    to: 'battery-positive',
  });
  differ((machine) => machine.lampAmps(light));
});

test('wherever a probe goes, in every case of every machine, there is a finite voltage', () => {
  for (const machine of MACHINES)
    for (const letter of CASE_LETTERS) {
      const one = practiceMachine(machine, letter, 3);
      for (const setup of [koeo, idle, off])
        for (const { wire } of machine.wiring.wires)
          for (const place of PLACES) {
            const read = one.voltsBetween({ lane: wire, place }, 'battery-negative', setup);
            expect(read > -0.6 && read < 13, `${machine.name} ${letter} ${wire} ${place}: ${read}`).toBe(
              true,
            );
          }
    }
});
