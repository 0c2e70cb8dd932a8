import { inWords } from '@lettura/words';
import { NO_HARNESS_WORK, type MachineState } from '@lettura/core/machine/places';
import { expect, test } from 'vitest';
import {
  BRILL_P4,
  gaugeDisplay,
  liveData,
  liveVolts,
  machineById,
  afterHolding,
  meterDisplay,
  pumpHoldsSeconds,
  ohmsDisplay,
  practiceMachine,
  simulatedMachine,
  surroundingsOf,
} from './index.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const idle: MachineState = { engine: 'idle', plug: 'connected' };
const keyOff: MachineState = { engine: 'key-off', plug: 'unplugged' };
const sound = (id: string) => {
  const machine = machineById(id);
  return simulatedMachine(
    machine,
    [],
    surroundingsOf(machine, () => 0.5),
  );
};

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

test('live data has the volts of both inputs of a pair in the steps of one byte, and none with the key off', () => {
  const pedal = sound('larch-pedal');
  for (const lane of ['signal', 'second-signal'] as const) {
    const onWire = pedal.voltsBetween({ lane, place: 'unit' }, 'battery-negative', koeo);
    expect(liveVolts(pedal, lane, koeo)).toBeCloseTo(onWire, 1);
    expect(Math.abs(liveVolts(pedal, lane, koeo)! - onWire)).toBeLessThan(0.02);
  }
  expect(liveVolts(pedal, 'signal', keyOff)).toBeUndefined();
});

test('a lost signal shows a substituted value that never moves, and sets circuit low', () => {
  const machine = practiceMachine(BRILL_P4, 'A', 5);
  for (const engine of ['koeo', 'idle', 'held-revs'] as const) {
    expect(liveData(machine, { engine, plug: 'connected' })).toEqual({
      value: BRILL_P4.substituted,
      substituted: true,
      codes: ['P0107'],
    });
  }
});

test('sound machines set no code at rest, and live data is near the truth', () => {
  for (const id of [
    'brill-p4',
    'reedcutter-rc2',
    'larch-throttle',
    'larch-pedal',
    'eastfen-pump-2',
    'tolland-95',
  ]) {
    const machine = sound(id);
    const data = liveData(machine, koeo);
    expect(data?.codes, id).toEqual([]);
    const { lowest, highest } = machine.machine.sensor.profile;
    const off = (data?.value ?? NaN) - machine.quantity(koeo, 'source');
    expect(Math.abs(off), id).toBeLessThan(0.025 * (highest - lowest));
  }
});

test('unplugging a body with a temperature sets that code as well: a consequence', () => {
  const off: MachineState = { engine: 'koeo', plug: 'unplugged' };
  expect(liveData(sound('reedcutter-rc2'), off)?.codes).toEqual(['P0108', 'P0113']);
});

test('tracks that part set the code of the pair, and a rail out of range that of the reference', () => {
  const pair = practiceMachine(machineById('larch-throttle'), 'E', 1);
  expect(liveData(pair, koeo)?.codes).toContain('P2135');
  const neighbour = practiceMachine(machineById('reedcutter-rc2'), 'A', 1);
  expect(liveData(neighbour, koeo)?.codes).toContain('P0641');
});

test('a digital part on an analogue circuit: a middle voltage that nothing moves', () => {
  const digital = practiceMachine(machineById('tolland-95'), 'A', 2);
  const at = (setup: MachineState) =>
    digital.voltsBetween({ lane: 'signal', place: 'plug' }, 'battery-negative', setup);
  expect(at(koeo)).toBeGreaterThan(1.5);
  expect(at(koeo)).toBeLessThan(3.6);
  expect(at(idle)).toBeCloseTo(at(koeo), 6);
});

test('live data steps by 1 kPa, and the vacuum gauge by half a division', () => {
  const machine = practiceMachine(BRILL_P4, 'B', 9);
  expect(Number.isInteger(liveData(machine, idle)?.value)).toBe(true);
  const shown = gaugeDisplay(machine, idle, 'manifold', 9);
  const inHg = Number(shown?.text);
  expect(inHg * 4).toBeCloseTo(Math.round(inHg * 4), 9);
  const vacuumKpa = machine.ambientKpaAbs - machine.quantity(idle, 'source');
  expect(Math.abs((shown?.pressureKpa ?? NaN) - vacuumKpa)).toBeLessThan(1.3);
});

test('a gauge beside the others shows kPa of their basis; nothing where there is no pressure', () => {
  const valve: MachineState = { engine: 'held-revs', plug: 'connected', stimulus: { kind: 'valve-open' } };
  const flow = sound('marsh-lane-pump-1');
  expect(gaugeDisplay(flow, valve, 'sensor-hose', 2)).toMatchObject({ unit: 'kPa', basis: 'differential' });
  expect(gaugeDisplay(flow, valve, 'sensor-hose', 2)?.pressureKpa).toBeCloseTo(18, 0);
  expect(gaugeDisplay(sound('larch-pedal'), koeo, 'manifold', 2)).toBeUndefined();
});

test('with the key off there is no reference and no live data', () => {
  const off: MachineState = { engine: 'key-off', plug: 'connected' };
  const machine = practiceMachine(BRILL_P4, 'B', 9);
  expect(machine.voltsBetween({ lane: 'reference', place: 'plug' }, 'battery-negative', off)).toBeCloseTo(
    0,
    2,
  );
  expect(liveData(machine, off)).toBeUndefined();
});

const returnPlug = { lane: 'return', place: 'plug' } as const;
const returnUnit = { lane: 'return', place: 'unit' } as const;

test('a return of 5 Ω passes the beep of a continuity test', () => {
  const machine = practiceMachine(machineById('larch-throttle'), 'C', 6); // 4 to 21 Ω
  const display = inWords(ohmsDisplay(machine, returnPlug, returnUnit, keyOff));
  expect(display.beeps).toBe(true);
  expect(display.ohms).toBeGreaterThan(4);
  expect(display.warning).toBeUndefined();
});

test('a cut wire is OL and does not beep', () => {
  const machine = practiceMachine(BRILL_P4, 'D', 1);
  const display = inWords(
    ohmsDisplay(machine, { lane: 'reference', place: 'plug' }, { lane: 'reference', place: 'unit' }, keyOff),
  );
  expect(display).toMatchObject({ text: 'OL', ohms: undefined, beeps: false });
});

test('ohms on a live circuit are nonsense, and said to be', () => {
  const machine = practiceMachine(BRILL_P4, 'B', 1);
  const reference = { lane: 'reference', place: 'plug' } as const;
  const live = inWords(ohmsDisplay(machine, reference, 'battery-negative', koeo));
  expect(live.warning).toContain('live');
  const dead = inWords(ohmsDisplay(machine, reference, 'battery-negative', keyOff));
  expect(dead.warning).toBeUndefined();
  expect(live.text).not.toBe(dead.text);
});

test('a track on the bench: its ends are 4 kΩ apart, and the wiper lies between', () => {
  const pedal = sound('quill-14-throttle');
  const ohms = (red: 'reference' | 'signal', black: 'return' | 'signal') =>
    inWords(ohmsDisplay(pedal, { lane: red, place: 'pin' }, { lane: black, place: 'pin' }, keyOff)).ohms ??
    NaN;
  expect(ohms('reference', 'return')).toBeCloseTo(4000, -2);
  // Both halves add up to the track, and each is measured through the wiper's 300 Ω.
  expect(ohms('reference', 'signal') + ohms('signal', 'return')).toBeCloseTo(4000 + 2 * 300, -2);
});

test('a sensor across its supply pins: 714 Ω sound, a megohm where the joint inside is lost', () => {
  const across = (machine: ReturnType<typeof sound>) =>
    inWords(
      ohmsDisplay(machine, { lane: 'reference', place: 'pin' }, { lane: 'return', place: 'pin' }, keyOff),
    );
  expect(across(sound('weir-lane-crane')).ohms).toBeCloseTo(714, -1);
  expect(across(practiceMachine(machineById('weir-lane-crane'), 'H', 1)).text).toBe('OL');
});

test('a digital line: live data moves with the rail while the average on the wire stays', () => {
  const machine = sound('larch-rail');
  const at = (state: MachineState) =>
    machine.voltsBetween({ lane: 'signal', place: 'plug' }, 'battery-negative', state);
  expect(liveData(machine, koeo)).toMatchObject({ value: 0, codes: [] });
  expect(liveData(machine, idle)?.value).toBeGreaterThan(30_000);
  expect(at(idle)).toBeCloseTo(at(koeo), 6);
  expect(at(koeo)).toBeGreaterThan(1.5);
});

test('a digital line fed with a voltage sets a second code; unplugged, only the first', () => {
  const machine = sound('larch-rail');
  const open: MachineState = { engine: 'koeo', plug: 'unplugged' };
  expect(liveData(machine, open)?.codes).toEqual(['P0190']);
  const fed: MachineState = {
    ...open,
    harness: {
      ...NO_HARNESS_WORK,
      attachments: [{ kind: 'voltage-source', at: { lane: 'signal', place: 'plug' }, volts: 1.6 }],
    },
  };
  expect(liveData(machine, fed)?.codes).toEqual(['P0190', 'P0191']);
});

test('a pump that leaks loses its pressure by and by, one that holds keeps it', () => {
  const seeds = Array.from({ length: 60 }, (_, seed) => seed);
  const leaky = seeds.find((seed) => Number.isFinite(pumpHoldsSeconds(seed)))!;
  const tight = seeds.find((seed) => !Number.isFinite(pumpHoldsSeconds(seed)))!;
  const pumped: MachineState = { ...koeo, stimulus: { kind: 'pump', kpaAboveAmbient: -40 } };
  const left = (seed: number, seconds: number) => {
    const { stimulus } = afterHolding(pumped, seconds, seed);
    return stimulus?.kind === 'pump' ? stimulus.kpaAboveAmbient : NaN;
  };
  expect(left(tight, 600)).toBe(-40);
  expect(left(leaky, pumpHoldsSeconds(leaky))).toBeCloseTo(-40 / Math.E, 6);
  expect(afterHolding(idle, 600, leaky)).toBe(idle);
});
