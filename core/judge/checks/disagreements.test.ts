import { expect, test } from 'vitest';
import type { Evidence } from '../../record/evidence/index.ts';
import type { MachineState } from '../../machine/places/index.ts';
import type { SensorProfile } from '../../measure/transfer/index.ts';
import { EXAMPLE_PROFILE, exampleCase } from './exampleCase.ts';
import { disagreements } from './disagreements.ts';
import { pumpState } from './pumpSweep.ts';
import { coded } from '../../measure/message/coded.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const idle: MachineState = { engine: 'idle', plug: 'connected' };
let count = 0;
const wire = (
  lane: 'signal' | 'second-signal' | 'reference' | 'return',
  volts: number,
  state: MachineState,
): Evidence => ({
  kind: 'wire',
  id: `w${++count}`,
  lane,
  place: 'plug',
  volts,
  state,
});
const throttle: SensorProfile = {
  ...EXAMPLE_PROFILE,
  measures: 'position',
  transfer: { form: 'linear', low: { volts: 0.7, value: 0 }, high: { volts: 4.3, value: 100 } },
  lowest: 0,
  highest: 100,
  tolerance: { form: 'plus-minus', plusMinus: 2 },
  differenceThatMatters: 5,
};
const pair = {
  family: 'throttle',
  profile: throttle,
  companion: { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false },
} as const;
const said = (readings: Evidence[]) =>
  coded(disagreements(exampleCase(readings, pair))).map(({ sentence }) => sentence);

test('a sound pair disagrees with nothing', () => {
  expect(
    said([wire('signal', 0.8, koeo), wire('second-signal', 4.2, koeo), wire('signal', 0.9, idle)]),
  ).toEqual([]);
});

test('with the key off nothing is fed, and two tracks at zero accuse nobody', () => {
  const off: MachineState = { engine: 'key-off', plug: 'connected' };
  expect(said([wire('signal', 0, off), wire('second-signal', 0, off)])).toEqual([]);
});

test('with the plug off the wire shows the unit, not the sensor', () => {
  expect(said([wire('signal', 4.99, { ...idle, plug: 'unplugged' })])).toEqual([]);
});

test('a signal past a circuit limit is no value, and is weighed elsewhere', () => {
  expect(said([wire('signal', 4.98, idle)])).toEqual([]);
});

test('a throttle at half travel while the engine idles is told, from its newest reading', () => {
  expect(said([wire('signal', 0.9, idle), wire('signal', 2.5, idle)])).toEqual([
    'checks.sensor-reads-would-usual{value: 50 position, drive: [engine.idle], lowest: 0 position, highest: 20 position}',
  ]);
  expect(said([wire('signal', 2.5, idle), wire('signal', 0.9, idle)])).toEqual([]);
});

test('each fault names the readings that show it', () => {
  const readings = [
    wire('reference', 5, koeo),
    wire('return', 0.01, koeo),
    wire('signal', 0.8, koeo),
    wire('second-signal', 3.5, koeo),
  ];
  const [first] = coded(disagreements(exampleCase(readings, pair)));
  expect(new Set(first?.readingIds)).toEqual(new Set(readings.map(({ id }) => id)));
});

test('pump steps are judged with the gauge that showed them: a coarse one cannot accuse the sensor', () => {
  const step = pumpState(-40);
  const off = 5 * (0.0078 * 75 + 0.02); // 75 kPa where the pump shows 60
  const coarse = {
    name: 'toy gauge',
    accuracy: { kind: 'gauge', classPercent: 20, spanKpa: 100, divisionKpa: 10 },
  } as const;
  const withCoarse: MachineState = {
    ...step,
    stimulus: { kind: 'pump', kpaAboveAmbient: -40, gauge: coarse },
  };
  const told = (state: MachineState) => coded(disagreements(exampleCase([wire('signal', off, state)])));
  expect(told(step)).toHaveLength(1);
  expect(told(withCoarse)).toEqual([]);
});
