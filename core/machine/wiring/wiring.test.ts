import type { Lane } from '../places/index.ts';
import { expect, test } from 'vitest';
import { EXAMPLE_SENSORS, type ExampleSensor } from './exampleSensors.ts';
import { AT_REST } from './parts.ts';
import { BATTERY_NEGATIVE, UNIT_GROUND, Wiring } from './index.ts';

const named = (name: string): ExampleSensor => EXAMPLE_SENSORS.find((sensor) => sensor.name.includes(name))!;
const wired = (name: string): Wiring => new Wiring(named(name).wiring);
function volts(wiring: Wiring, wire: Lane, point: 'unit' | 'connector' | 'plug' | 'pin' = 'plug'): number {
  expect(wiring.network.solve()).toBe('solved');
  return wiring.network.volts(wiring.node(wire, point));
}

test.each(EXAMPLE_SENSORS.map((sensor) => [sensor.name, sensor] as const))(
  'a sound %s has its supply and return at the plug, and its signal the same at plug and unit',
  (_name, { wiring: spec }) => {
    const wiring = new Wiring(spec);
    for (const { wire, end } of spec.wires) {
      if (end.kind === 'rail') expect(volts(wiring, wire)).toBeGreaterThan(4.95);
      if (end.kind === 'ground') expect(Math.abs(volts(wiring, wire))).toBeLessThan(0.05);
      if (end.kind === 'battery') expect(volts(wiring, wire)).toBeGreaterThan(12);
      if (end.kind === 'input') expect(volts(wiring, wire)).toBeCloseTo(volts(wiring, wire, 'unit'), 3);
    }
  },
);

test('a ratiometric stage at half its supply gives half the reference', () => {
  expect(volts(wired('pulled down'), 'signal')).toBeCloseTo(2.5, 1);
});

test('unplugged, a pulled-up signal goes to 5 V and a pulled-down one to 0 V; the thermistor wire to 5 V', () => {
  const unplugged = (name: string, wire: Lane) => {
    const wiring = wired(name);
    wiring.setPlug(false);
    return volts(wiring, wire);
  };
  expect(unplugged('pulled up', 'signal')).toBeCloseTo(5, 1);
  expect(unplugged('pulled down', 'signal')).toBeLessThan(0.01);
  expect(unplugged('pressure and temperature', 'second-signal')).toBeCloseTo(5, 1);
});

test('mirrored tracks add up to the reference at every angle', () => {
  const wiring = wired('mirrored pair');
  for (const share of [0.14, 0.4, 0.8]) {
    wiring.drive({ ...AT_REST, share, secondShare: 1 - share });
    expect(volts(wiring, 'signal') + volts(wiring, 'second-signal')).toBeCloseTo(5, 1);
  }
});

test('a pedal with feeds of its own keeps its second track when the first loses its reference', () => {
  const wiring = wired('half-ratio');
  wiring.drive({ ...AT_REST, share: 0.2, secondShare: 0.1 });
  wiring.addOhms('reference:second', Infinity);
  expect(volts(wiring, 'signal')).toBeLessThan(0.5);
  expect(volts(wiring, 'second-signal')).toBeCloseTo(0.5, 1);
});

test('a shared feed lost inside the housing takes both tracks, with the supply still right at the plug', () => {
  const wiring = wired('mirrored pair');
  wiring.addOhms('reference:inside', Infinity);
  expect(volts(wiring, 'reference')).toBeGreaterThan(4.95);
  expect(volts(wiring, 'signal')).toBeLessThan(0.1);
  expect(volts(wiring, 'second-signal')).toBeLessThan(0.1);
});

test('a shorted neighbour takes the reference down within the limit, and unplugging it brings it back', () => {
  const wiring = wired('pulled down');
  wiring.setOhms('neighbour:0', 5);
  expect(volts(wiring, 'reference')).toBeCloseTo(0.15 * 5, 1); // 150 mA through 5 Ω
  wiring.setOhms('neighbour:0', Infinity);
  expect(volts(wiring, 'reference')).toBeGreaterThan(4.95);
});

test('a hot element gives volts of its own, and nothing without its battery feed', () => {
  const wiring = wired('hot element');
  wiring.drive({ ...AT_REST, share: 0, offsetVolts: 1.8 });
  expect(volts(wiring, 'signal') - volts(wiring, 'return')).toBeCloseTo(1.8, 3);
  wiring.addOhms('battery-feed:first', Infinity);
  expect(volts(wiring, 'signal')).toBeLessThan(0.05);
});

test('5 Ω in the return at about 7 mA lift the return by 35 mV and carry the signal with it', () => {
  const wiring = wired('pulled down');
  const sound = volts(wiring, 'signal');
  const soundReturn = volts(wiring, 'return');
  wiring.addOhms('return:second', 5);
  expect(volts(wiring, 'return') - soundReturn).toBeCloseTo(0.035, 3);
  // Half of the step: the ratiometric output stands midway between a return that rose and a reference that stayed.
  expect(volts(wiring, 'signal') - sound).toBeCloseTo(0.0175, 3);
});

test('with the key off nothing is on any wire', () => {
  const wiring = wired('hot element');
  wiring.setKey(false);
  for (const { wire } of wiring.spec.wires) expect(Math.abs(volts(wiring, wire))).toBeLessThan(0.01);
});

test('the converter sees its pin against the unit’s own ground, and no more than a little past its rails', () => {
  const wiring = wired('pulled down');
  wiring.addOhms('unit-ground', 20);
  wiring.network.solve();
  const { network } = wiring;
  expect(wiring.inputVolts('signal')).toBeCloseTo(
    network.volts(wiring.node('signal', 'unit')) - network.volts(UNIT_GROUND),
    9,
  );
  wiring.bridge(wiring.node('signal', 'unit'), 1, 0.1);
  wiring.network.solve();
  expect(network.volts(wiring.node('signal', 'unit'))).toBeGreaterThan(11);
  expect(wiring.inputVolts('signal')).toBe(5.5);
});

test('reset makes everything sound again', () => {
  const wiring = wired('mirrored pair');
  const before = volts(wiring, 'signal');
  wiring.setKey(false);
  wiring.setPlug(false);
  wiring.addOhms('signal:first', Infinity);
  wiring.setOhms('wiper:1', Infinity);
  wiring.setRail(0, { volts: 3 });
  wiring.bridge(wiring.node('signal', 'unit'), BATTERY_NEGATIVE, 0);
  wiring.network.solve();
  wiring.reset();
  expect(volts(wiring, 'signal')).toBeCloseTo(before, 9);
});

test('a wire or part that a body does not have is a mistake in the program, and says so', () => {
  const wiring = wired('single track');
  expect(() => wiring.node('battery-feed', 'plug')).toThrow('no battery-feed wire');
  expect(() => wiring.addOhms('supply', 1)).toThrow('no part “supply”');
  for (let i = 0; i < 3; i++) wiring.bridge(0, 1, 1e6);
  expect(() => wiring.bridge(0, 1, 1e6)).toThrow('No more than 3');
});
