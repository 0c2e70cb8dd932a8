import { WORK_IDS } from '@lettura/core/record/workDone';
import type { MachineState } from '@lettura/core/machine/places';
import { expect, test } from 'vitest';
import { CASE_LETTERS, MACHINES, practiceMachine } from './index.ts';

const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };
const all = MACHINES.flatMap((machine) => CASE_LETTERS.map((letter) => ({ machine, letter })));

test('what is wrong with any machine is taken away by some work on it, and by no battery', () => {
  for (const { machine, letter } of all) {
    const found = practiceMachine(machine, letter, 3).faults;
    if (found.length === 0) continue;
    const mends = WORK_IDS.filter((work) => practiceMachine(machine, letter, 3, [work]).faults.length === 0);
    expect(mends.length, `${machine.id} ${letter}: ${found[0]!.kind.id}`).toBeGreaterThan(0);
    expect(mends).not.toContain('battery-charged');
  }
});

test('a wrong part changes nothing, and the right work gives the readings of the sound machine', () => {
  const machine = MACHINES.find(({ id }) => id === 'quill-14')!;
  const volts = (...works: Parameters<typeof practiceMachine>[3] & object) =>
    practiceMachine(machine, 'A', 11, works).voltsBetween(
      { lane: 'signal', place: 'plug' },
      'battery-negative',
      KOEO,
    );
  const ill = practiceMachine(machine, 'A', 11);
  const right = WORK_IDS.filter((work) => practiceMachine(machine, 'A', 11, [work]).faults.length === 0);
  const wrong = WORK_IDS.filter((work) => !right.includes(work));
  expect(ill.faults).toHaveLength(1);
  for (const work of wrong) expect(volts(work)).toBe(volts());
  // Done once it stays done, whatever comes after.
  for (const work of right) expect(volts('sensor-replaced', work, 'codes-cleared')).toBe(volts(work));
});
