import { expect, test } from 'vitest';
import type { Attachment, ProbePoint } from '../places/index.ts';
import { effectsOf, faultKind, faultOf } from '../fault/index.ts';
import { EXAMPLE_SENSORS } from '../wiring/exampleSensors.ts';
import { LIVE_CIRCUIT, Rig } from './index.ts';

const OFF = { keyOn: false, plugged: true, trueValue: 50, restingValue: 0, celsius: 20 };
const rigOf = (name: string) => {
  const sensor = EXAMPLE_SENSORS.find((one) => one.name === name)!;
  return { sensor, rig: new Rig(sensor.wiring) };
};
const plug = (lane: 'reference' | 'signal' | 'return'): ProbePoint => ({ lane, place: 'plug' });

test('with the key off a regulator is no short: a sound machine reads kilohms from reference to return', () => {
  const { sensor, rig } = rigOf('manifold pressure, pulled down');
  rig.bring(sensor, [], { ...OFF, plugged: false });
  const [one, other] = [
    rig.ohms(plug('reference'), plug('return')),
    rig.ohms(plug('return'), plug('reference')),
  ];
  expect(one).toBeGreaterThan(500);
  expect(one).toBeLessThan(100_000);
  // A meter whose volt is the other way round meets the diode of the regulator, and reads less.
  expect(other).toBeGreaterThan(500);
  rig.bring(sensor, [], OFF);
  // Plugged in the sensor itself lies beside it: what it draws five milliamperes with.
  expect(rig.ohms(plug('reference'), plug('return'))).toBeGreaterThan(100);
});

test('a wire that is shorted to the battery is live to an ohmmeter, whichever way round: never less than no ohms', () => {
  const { sensor, rig } = rigOf('manifold pressure, pulled down');
  const kind = faultKind('wire-to-battery');
  const site = kind.sites({ family: sensor.family, wiring: sensor.wiring })[0]!;
  rig.bring(sensor, effectsOf([faultOf(kind, site, 0.05)]), OFF);
  const lane = site.id.split(':')[0]!.split(' ').at(-1) as 'reference';
  for (const [red, black] of [
    [plug(lane), 'battery-negative'],
    ['battery-negative', plug(lane)],
  ] as const)
    expect(rig.ohms(red, black)).toBe(LIVE_CIRCUIT);
});

test.each(EXAMPLE_SENSORS.map(({ name }) => name))('no two points of a %s read less than no ohms', (name) => {
  const { sensor, rig } = rigOf(name);
  for (const plugged of [true, false]) {
    rig.bring(sensor, [], { ...OFF, plugged });
    const points: ProbePoint[] = [
      'battery-negative',
      ...sensor.wiring.wires.flatMap(({ wire }): ProbePoint[] => [
        { lane: wire, place: 'unit' },
        { lane: wire, place: 'plug' },
      ]),
    ];
    for (const red of points)
      for (const black of points) {
        const ohms = rig.ohms(red, black);
        expect(ohms === LIVE_CIRCUIT || ohms >= 0).toBe(true);
      }
  }
});

test('a second known voltage, test light or meter is refused, never put in the place of the first', () => {
  const { sensor, rig } = rigOf('manifold pressure, pulled down');
  const source = (volts: number): Attachment => ({ kind: 'voltage-source', at: plug('signal'), volts });
  const lamp: Attachment = { kind: 'test-light', from: plug('signal'), to: 'battery-negative' };
  for (const attachments of [
    [source(1), source(2)],
    [lamp, lamp],
  ])
    expect(() => rig.bring(sensor, [], OFF, { attachments, neighboursOff: [], wiggled: false })).toThrow(
      /no second one/u,
    );
});

test('a stuck pair keeps its law: mirrored and stuck at a quarter it reads 1.25 and 3.75 V', () => {
  const { sensor, rig } = rigOf('mirrored pair with a motor in the body');
  rig.bring(sensor, [{ on: 'element', does: 'stuck', share: 0.25 }], { ...OFF, keyOn: true });
  expect(rig.volts(plug('signal'), 'battery-negative')).toBeCloseTo(1.25, 1);
  expect(rig.volts({ lane: 'second-signal', place: 'plug' }, 'battery-negative')).toBeCloseTo(3.75, 1);
});

test('a ratiometric element at exactly nothing stays ratiometric: stuck, it follows its supply', () => {
  const { sensor, rig } = rigOf('single track');
  const atNothing = { ...OFF, keyOn: true, trueValue: -30 }; // 0.9 V less 30 % of 3 V: the very end of the track
  rig.bring(sensor, [{ on: 'element', does: 'stuck', share: 0.4 }], atNothing);
  expect(rig.wiring.driven).toMatchObject({ share: 0.4, offsetVolts: 0, followsSupply: true });
});
