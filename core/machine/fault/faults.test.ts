import type { Lane } from '../places/index.ts';
import { expect, test } from 'vitest';
import { EXAMPLE_SENSORS, type ExampleSensor } from '../wiring/exampleSensors.ts';
import { Wiring, type WirePoint } from '../wiring/index.ts';
import {
  allFaults,
  allSites,
  effectsOf,
  FAULT_KINDS,
  faultAnywhere,
  faultKind,
  faultOf,
  sizeAt,
  situate,
  type Fault,
  type FaultKindId,
  type SiteId,
} from './index.ts';

const named = (name: string): ExampleSensor => EXAMPLE_SENSORS.find((sensor) => sensor.name.includes(name))!;

function fault(sensor: ExampleSensor, kind: FaultKindId, site: SiteId, at = 0.5): Fault {
  const found = faultKind(kind);
  const place = found.sites({ family: sensor.family, wiring: sensor.wiring }).find(({ id }) => id === site);
  if (!place) throw new Error(`${kind} has no site ${site}`);
  return faultOf(found, place, at);
}

/** Volts at the plug with the key on, at a share of the range. */
function reading(
  sensor: ExampleSensor,
  faults: readonly Fault[],
  wire: Lane,
  { at = 0.5, plugged = true, point = 'plug' }: { at?: number; plugged?: boolean; point?: WirePoint } = {},
): number {
  const wiring = new Wiring(sensor.wiring);
  const { lowest, highest } = sensor.profile;
  situate(wiring, sensor, effectsOf(faults), {
    keyOn: true,
    plugged,
    trueValue: lowest + at * (highest - lowest),
    restingValue: lowest,
    celsius: 25,
  });
  expect(wiring.network.solve()).toBe('solved');
  return wiring.network.volts(wiring.node(wire, point));
}

/** The same bodies, with a line that a value is sent on. */
const SENDERS = EXAMPLE_SENSORS.flatMap((sensor): ExampleSensor[] => {
  const { wiring } = sensor;
  return wiring.sensor.kind === 'stage'
    ? [{ ...sensor, wiring: { ...wiring, sensor: { ...wiring.sensor, sends: 'pulses' } } }]
    : [];
});

test('every kind of fault has an id of its own, and a site somewhere', () => {
  expect(new Set(FAULT_KINDS.map(({ id }) => id)).size).toBe(FAULT_KINDS.length);
  for (const kind of FAULT_KINDS) {
    const everywhere = [...EXAMPLE_SENSORS, ...SENDERS].flatMap((subject) => allSites(kind, subject));
    expect(everywhere.length, kind.id).toBeGreaterThan(0);
  }
});

test('the sites of one body have names of their own', () => {
  for (const { family, wiring } of EXAMPLE_SENSORS) {
    const ids = allFaults({ family, wiring }).map(({ kind, site }) => `${kind.id} ${site.id}`);
    expect(new Set(ids).size).toBe(ids.length);
  }
});

test('every fault at every size leaves a network that has an answer', () => {
  for (const sensor of EXAMPLE_SENSORS)
    for (const at of [0, 1])
      for (const one of allFaults(sensor, at)) {
        const volts = reading(sensor, [one], 'signal');
        expect(Number.isNaN(volts) || (volts > -1 && volts < 13), one.site.id).toBe(true);
      }
});

test('sizes run over decades or evenly, from end to end', () => {
  const ohms = { unit: 'Ω', lowest: 1, highest: 100, spread: 'decades' } as const;
  expect([0, 0.5, 1].map((at) => sizeAt(ohms, at))).toEqual([
    1,
    expect.closeTo(10, 9),
    expect.closeTo(100, 9),
  ]);
  expect(sizeAt({ unit: 'V', lowest: 1, highest: 3, spread: 'even' }, 0.5)).toBe(2);
});

const map = named('pulled down');
const sound = (sensor: ExampleSensor, wire: Lane = 'signal', at = 0.5) => reading(sensor, [], wire, { at });

test('an open signal wire is right at the plug and at its bias in the unit', () => {
  const open = fault(map, 'wire-open', 'signal:first');
  expect(reading(map, [open], 'signal')).toBeCloseTo(sound(map), 2);
  expect(reading(map, [open], 'signal', { point: 'unit' })).toBeLessThan(0.01);
});

test('a lost return makes the signal sit high', () => {
  expect(reading(map, [fault(map, 'wire-open', 'return:second')], 'signal')).toBeGreaterThan(4.8);
});

test('two wires cut in one place: with the reference repaired the signal is still missing at the unit', () => {
  const both = fault(map, 'two-wires-open', 'reference+signal:first');
  expect(reading(map, [both], 'reference')).toBeLessThan(0.1);
  const half = fault(map, 'wire-open', 'signal:first');
  expect(reading(map, [half], 'signal', { point: 'unit' })).toBeLessThan(0.01);
});

test('a raised ground of the unit lifts reference, return and signal by one step', () => {
  const raised = fault(map, 'unit-ground-raised', 'unit-ground'); // 1 Ω under half an ampere
  const steps = (['reference', 'return', 'signal'] as const).map(
    (wire) => reading(map, [raised], wire) - reading(map, [], wire),
  );
  for (const step of steps) expect(step).toBeCloseTo(0.5, 1);
});

test('faults add up: a shifted sensor on a resistant return', () => {
  const shifted = fault(map, 'sensor-shifted', 'up');
  const resistant = fault(map, 'wire-high-resistance', 'return:first');
  const one = reading(map, [shifted], 'signal');
  expect(one - sound(map)).toBeCloseTo(0.7, 1);
  expect(reading(map, [shifted, resistant], 'signal')).toBeGreaterThan(one + 0.1);
});

test('what only moves when the quantity moves: stuck, stretched, blocked', () => {
  const change = (faults: Fault[]) =>
    reading(map, faults, 'signal', { at: 0.9 }) - reading(map, faults, 'signal', { at: 0.1 });
  const whole = change([]);
  expect(change([fault(map, 'sensor-stuck', 'element')])).toBeCloseTo(0, 9);
  expect(change([fault(map, 'sensor-gain', 'element', 0)]) / whole).toBeCloseTo(0.3, 2);
  expect(change([fault(map, 'hose', 'hose', 0)])).toBeCloseTo(0, 9);
});

test('a dead spot shows only where it is', () => {
  const throttle = named('single track');
  const spot = fault(throttle, 'dead-spot', 'track:1', 0.5); // 47.5 % of the track
  const error = (at: number) =>
    reading(throttle, [spot], 'signal', { at }) - reading(throttle, [], 'signal', { at });
  expect(error(0)).toBe(0);
  expect(error(1)).toBe(0);
  expect(reading(throttle, [spot], 'signal', { at: 0.5 })).toBeLessThan(0.01); // V/Vref there is 0.48
});

/** One that only machines met outside have, at 0..1 of how far it goes. */
function metOutside(sensor: ExampleSensor, kind: FaultKindId, site: SiteId, at: number): Fault {
  const place = allSites(faultKind(kind), sensor).find(({ id }) => id === site)!;
  return faultAnywhere(faultKind(kind), place, at);
}

test('a resistance in the output divides the signal with the input that pulls it', () => {
  const weak = metOutside(map, 'output-resistance', 'signal:inside', 0.8);
  const input = map.wiring.wires.find(({ wire }) => wire === 'signal')!.end;
  const pullDownOhms = input.kind === 'input' ? input.pullDownOhms : NaN;
  expect(reading(map, [weak], 'signal')).toBeCloseTo(
    (sound(map) * pullDownOhms) / (pullDownOhms + weak.size),
    1,
  );
});

test('a resistance at the end of a track keeps the signal from that end, and leaves the other', () => {
  const throttle = named('single track');
  const { sensor } = throttle.wiring;
  const trackOhms = 'trackOhms' in sensor ? sensor.trackOhms : NaN;
  const site = allSites(faultKind('track-end-resistance'), throttle).find(({ id }) => id.includes('lower'))!;
  const atEnd = metOutside(throttle, 'track-end-resistance', site.id, 0.5); // 1000 Ω
  const share = sound(throttle) / 5;
  const divided = (5 * (share * trackOhms + atEnd.size)) / (trackOhms + atEnd.size);
  expect(Math.abs(reading(throttle, [atEnd], 'signal') - divided)).toBeLessThan(0.05);
});

test('swapped hoses send the signal the other way', () => {
  const differential = named('pulled up');
  const swapped = fault(differential, 'hoses-swapped', 'hoses');
  expect(reading(differential, [swapped], 'signal', { at: 0.05 })).toBeLessThan(
    sound(differential, 'signal', 0),
  );
});

test('a digital part gives a middle voltage that the quantity does not move', () => {
  const digital = fault(map, 'digital-part', 'element', 0.5);
  expect(reading(map, [digital], 'signal', { at: 0.1 })).toBeCloseTo(
    reading(map, [digital], 'signal', { at: 0.9 }),
    9,
  );
});

test('a flow meter that is stuck or shifted stays between the rails of its input', () => {
  const flow = named('hot element');
  for (const at of [0, 1]) {
    const stuck = reading(flow, [fault(flow, 'sensor-stuck', 'element', at)], 'signal');
    expect(stuck).toBeGreaterThan(0.2);
    expect(stuck).toBeLessThan(5);
  }
});
