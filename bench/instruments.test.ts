import type { MachineState } from '@lettura/core/evidence';
import { expect, test } from 'vitest';
import { BRILL_P4, gaugeDisplay, liveDataDisplay, meterDisplay, simulatedMachine } from './index.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };

test('the meter changes to millivolts below 0.6 V, so that the small m can be overlooked', () => {
  const display = meterDisplay(0.0142, 1, 1);
  expect(display.unit).toBe('mV');
  expect(Number(display.text)).toBeCloseTo(14.2, 0);
  expect(meterDisplay(4.98, 1, 1)).toMatchObject({ unit: 'V' });
});

test('the last digit trembles and the value stays', () => {
  const texts = Array.from({ length: 50 }, (_, tick) => meterDisplay(2.3081, 3, tick).volts);
  expect(new Set(texts).size).toBeGreaterThan(1);
  expect(Math.max(...texts) - Math.min(...texts)).toBeLessThan(0.006);
});

test('a sound machine: reference within 0.1 V, return within 50 mV, signal at ambient (hand: 5·(0.0078·100.9 + 0.02))', () => {
  const machine = simulatedMachine('none', 5);
  expect(Math.abs(machine.voltsAt('reference', 'plug', koeo) - 5)).toBeLessThan(0.1);
  expect(machine.voltsAt('return', 'plug', koeo)).toBeLessThan(0.05);
  expect(Math.abs(machine.voltsAt('signal', 'plug', koeo) - 4.035)).toBeLessThan(0.06);
});

test('unplugged, the pulled-down input goes to 0 V, but not when the wire touches the reference', () => {
  const unplugged: MachineState = { engine: 'koeo', plug: 'unplugged' };
  expect(simulatedMachine('none', 5).voltsAt('signal', 'plug', unplugged)).toBeCloseTo(0, 3);
  expect(
    simulatedMachine('signal-short-to-reference', 5).voltsAt('signal', 'plug', unplugged),
  ).toBeGreaterThan(4.9);
});

test('a lost signal shows a substituted value that never moves, and sets circuit low', () => {
  const machine = simulatedMachine('signal-open', 5);
  for (const engine of ['koeo', 'idle', 'held-revs'] as const) {
    expect(liveDataDisplay(machine, { engine, plug: 'connected' })).toEqual({
      pressureKpaAbs: BRILL_P4.substitutedKpaAbs,
      code: 'P0107',
    });
  }
});

test('live data steps by 1 kPa, and the gauge by half a division', () => {
  const machine = simulatedMachine('none', 9);
  const idle: MachineState = { engine: 'idle', plug: 'connected' };
  expect(Number.isInteger(liveDataDisplay(machine, idle)?.pressureKpaAbs)).toBe(true);
  const { vacuumInHg } = gaugeDisplay(machine, idle, 9);
  expect(vacuumInHg * 4).toBeCloseTo(Math.round(vacuumInHg * 4), 9);
  expect(Math.abs(vacuumInHg * 3.386389 - (100.9 - machine.manifoldKpaAbs(idle)))).toBeLessThan(1.3);
});

test('with the key off there is no reference and no live data', () => {
  const machine = simulatedMachine('none', 9);
  const off: MachineState = { engine: 'key-off', plug: 'connected' };
  expect(machine.voltsAt('reference', 'plug', off)).toBeCloseTo(0, 2);
  expect(liveDataDisplay(machine, off)).toBeUndefined();
});
