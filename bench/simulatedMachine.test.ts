import { THREE_WIRES, PLACES, type MachineState } from '@lettura/core/evidence';
import { expect, test } from 'vitest';
import {
  CASE_LETTERS,
  FAULT_WORDS,
  faultOfCase,
  HIDDEN_FAULTS,
  simulatedMachine,
  type HiddenFault,
} from './index.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const idle: MachineState = { engine: 'idle', plug: 'connected' };
const off: MachineState = { engine: 'koeo', plug: 'unplugged' };
const SEEDS = Array.from({ length: 20 }, (_, i) => i + 1);

/** What a fault must look like at the plug, on every individual machine. */
const eachMachine = (fault: HiddenFault, check: (machine: ReturnType<typeof simulatedMachine>) => void) =>
  SEEDS.forEach((seed) => check(simulatedMachine(fault, seed)));

test('every letter hides one fault, every fault has a letter, and each is told in words', () => {
  expect(CASE_LETTERS.map(faultOfCase).sort()).toEqual([...HIDDEN_FAULTS].sort());
  for (const fault of HIDDEN_FAULTS) expect(FAULT_WORDS[fault]).toMatch(/\.$/u);
});

test('the same seed is the same machine, another seed is another', () => {
  const volts = (seed: number) => simulatedMachine('sensor-offset', seed).voltsAt('signal', 'plug', koeo);
  expect(volts(7)).toBe(volts(7));
  expect(volts(7)).not.toBe(volts(8));
});

test('an open reference leaves the plug dead and the unit at 5 V, plugged or not', () => {
  eachMachine('reference-open', (machine) => {
    expect(machine.voltsAt('reference', 'plug', koeo)).toBeLessThan(0.1);
    expect(machine.voltsAt('reference', 'plug', off)).toBeLessThan(0.1);
    expect(machine.voltsAt('reference', 'unit', koeo)).toBeGreaterThan(4.9);
    expect(machine.voltsAt('signal', 'plug', koeo)).toBeLessThan(0.1);
  });
});

test('a resistance in the return lifts the return under load, and not with the plug off', () => {
  eachMachine('return-high-resistance', (machine) => {
    // 45 to 110 Ω at about 7 mA.
    expect(machine.voltsAt('return', 'plug', koeo)).toBeGreaterThan(0.25);
    expect(machine.voltsAt('return', 'plug', koeo)).toBeLessThan(0.8);
    expect(machine.voltsAt('return', 'plug', off)).toBeLessThan(0.001);
    expect(machine.voltsAt('return', 'unit', koeo)).toBeLessThan(0.01);
  });
});

test('an open signal wire is right at the plug and pulled down at the unit', () => {
  eachMachine('signal-open', (machine) => {
    expect(machine.voltsAt('signal', 'plug', koeo)).toBeGreaterThan(3.9);
    expect(machine.voltsAt('signal', 'unit', koeo)).toBeLessThan(0.01);
  });
});

test('a signal that touches the reference sits at it, whatever the engine does', () => {
  eachMachine('signal-short-to-reference', (machine) => {
    for (const state of [koeo, idle, off])
      expect(machine.voltsAt('signal', 'plug', state)).toBeGreaterThan(4.75);
  });
});

test('a stuck sensor stays, an offset sensor moves and is wrong, an honest one moves and is right', () => {
  eachMachine('sensor-stuck', (machine) => {
    expect(machine.voltsAt('signal', 'plug', idle)).toBeCloseTo(machine.voltsAt('signal', 'plug', koeo), 9);
  });
  const sound = (seed: number) => simulatedMachine('none', seed).voltsAt('signal', 'plug', koeo);
  SEEDS.forEach((seed) => {
    const shifted = simulatedMachine('sensor-offset', seed);
    expect(shifted.voltsAt('signal', 'plug', koeo) - sound(seed)).toBeGreaterThan(0.4);
    expect(shifted.voltsAt('signal', 'plug', koeo) - shifted.voltsAt('signal', 'plug', idle)).toBeGreaterThan(
      2,
    );
  });
});

test('low vacuum is the engine’s: the wires are those of a sound machine', () => {
  eachMachine('low-vacuum', (machine) => {
    expect(machine.manifoldKpaAbs(idle)).toBeGreaterThan(48);
    expect(machine.manifoldKpaAbs(koeo)).toBe(machine.ambientKpaAbs);
    expect(machine.voltsAt('return', 'plug', koeo)).toBeLessThan(0.01);
  });
});

test('wherever the probe goes there is a finite voltage between the rails', () => {
  for (const fault of HIDDEN_FAULTS) {
    for (const state of [koeo, idle, off]) {
      for (const lane of THREE_WIRES) {
        for (const place of PLACES) {
          const volts = simulatedMachine(fault, 3).voltsAt(lane, place, state);
          expect(volts).toBeGreaterThan(-0.01);
          expect(volts).toBeLessThan(5.2);
        }
      }
    }
  }
});
