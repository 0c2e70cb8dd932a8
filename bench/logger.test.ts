import type { MachineState } from '@lettura/core/machine/places';
import { expect, test } from 'vitest';
import { machineById, simulatedMachine, SimulatedHand, SimulatedLogger, surroundingsOf } from './index.ts';

const rest: MachineState = { engine: 'koeo', plug: 'connected' };
const pressed: MachineState = { ...rest, stimulus: { kind: 'full-travel' } };
const pumped = (kpaAboveAmbient: number): MachineState => ({
  ...rest,
  stimulus: { kind: 'pump', kpaAboveAmbient },
});
const sound = (id: string) => {
  const machine = machineById(id);
  return simulatedMachine(
    machine,
    [],
    surroundingsOf(machine, () => 0.5),
  );
};

test('a hand brings a pedal down evenly, in its time, and holds it there', () => {
  const hand = new SimulatedHand(rest);
  expect(hand.stateAt(0)).toEqual(rest);
  hand.moveTo(pressed, 4, 1000);
  expect(hand.stateAt(1000).stimulus).toEqual({ kind: 'held', percent: 0 });
  expect(hand.stateAt(3000).stimulus).toEqual({ kind: 'held', percent: 50 });
  expect(hand.stateAt(5000)).toEqual(pressed);
  expect(hand.stateAt(60_000)).toEqual(pressed);
});

test('a hand that changes its mind goes on from where it is, and lets go all the way', () => {
  const hand = new SimulatedHand(rest);
  hand.moveTo(pressed, 4, 0);
  hand.moveTo(rest, 2, 1000);
  expect(hand.stateAt(1000).stimulus).toEqual({ kind: 'held', percent: 25 });
  expect(hand.stateAt(2000).stimulus).toEqual({ kind: 'held', percent: 12.5 });
  expect(hand.stateAt(3000)).toEqual(rest);
});

test('a pump is worked from one pressure to the next, and another engine state is there at once', () => {
  const hand = new SimulatedHand(pumped(-20));
  hand.moveTo(pumped(-40), 1, 0);
  expect(hand.stateAt(500).stimulus).toEqual({ kind: 'pump', kpaAboveAmbient: -30 });
  hand.moveTo({ engine: 'idle', plug: 'connected' }, 0, 2000);
  expect(hand.stateAt(2000)).toEqual({ engine: 'idle', plug: 'connected' });
});

test('a logger has the wires that the machine has, by the names of its tracks, and live data beside them', () => {
  const names = (id: string) =>
    new SimulatedLogger(sound(id), 1).channels.map(({ name, unit }) => `${name}, ${unit}`);
  expect(names('larch-pedal')).toEqual([
    'Track 1 at the plug, V',
    'Track 2 at the plug, V',
    'Reference at the plug, V',
    'Live data, %',
  ]);
  expect(names('brill-p4')).toEqual(['Signal at the plug, V', 'Reference at the plug, V', 'Live data, kPa']);
});

test('it logs what is on the wires, with the scatter of a logger and no more', () => {
  const machine = sound('larch-pedal');
  const logger = new SimulatedLogger(machine, 1);
  const half: MachineState = { ...rest, stimulus: { kind: 'held', percent: 50 } };
  const first = Array.from({ length: 400 }, () => logger.volts(half)[0]!);
  const mean = first.reduce((sum, volts) => sum + volts, 0) / first.length;
  const trueVolts = machine.voltsBetween({ lane: 'signal', place: 'plug' }, 'battery-negative', half);
  expect(mean).toBeCloseTo(trueVolts, 2);
  const scatter = Math.sqrt(first.reduce((sum, volts) => sum + (volts - mean) ** 2, 0) / first.length);
  expect(scatter).toBeGreaterThan(0.001);
  expect(scatter).toBeLessThan(0.004);
  expect(logger.live(half)).toBeCloseTo(50, -1);
  expect(logger.live({ ...half, engine: 'key-off' })).toBeNull();
});
