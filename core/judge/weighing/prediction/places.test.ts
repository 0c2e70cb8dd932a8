import { expect, test } from 'vitest';
import { effectsOf, FAULT_KINDS, faultOf } from '../../../machine/fault/index.ts';
import { exampleCase } from '../../checks/exampleCase.ts';
import { wiringFor } from '../../../machine/wiring/index.ts';
import { lanesIn } from '../../../record/evidence/index.ts';
import { throughABody, isOnSecondSignal, isRepeat } from '../likelihood/aboutReadings.ts';
import { Answers, CELSIUS_NODES } from './circuitAnswers.ts';
import { CELSIUS_DRIVE, celsiusGrid, driveOf } from './drives.ts';
import { IDLE, KOEO, wire, WIRES } from '../exampleWeighing.ts';
import { hypothesesFor, quantityGrid, TOLERANCES } from '../index.ts';
import { forEveryTolerance, listsOver } from '../likelihood/lists.ts';
import { amongTemperatures, metBy } from './places.ts';

const { profile } = exampleCase([]);
const family = 'manifold-pressure';
const wiring = wiringFor({ profile, wires: WIRES });
const answers = new Answers({ family, profile, wires: WIRES }, hypothesesFor({ family, wiring }), 100);
const grid = quantityGrid(IDLE, exampleCase([]));
const effectsBy = (id: string, at: number) => {
  const kind = FAULT_KINDS.find((one) => one.id === id)!;
  return effectsOf([faultOf(kind, kind.sites({ family, wiring })[0]!, at)]);
};
const pumped = { engine: 'koeo', stimulus: { kind: 'pump', kpaAboveAmbient: -40 } } as const;

test('a blocked hose leaves the sensor at rest and the manifold where it is; a pump on the port knows no hose', () => {
  const blocked = metBy(effectsBy('hose', 0), grid, IDLE, profile, 100, answers);
  for (const value of blocked.met) expect(value).toBeCloseTo(100, 9);
  expect([...blocked.atSource]).toEqual([...grid.values]);
  const withPump = metBy(effectsBy('hose', 0), grid, pumped, profile, 100, answers);
  expect([...withPump.met]).toEqual([...grid.values]);
});

test('low vacuum is met at the source as well', () => {
  const { met, atSource } = metBy(effectsBy('low-vacuum', 0.5), grid, IDLE, profile, 100, answers);
  expect([...atSource]).toEqual([...met]);
  expect(met[0]).toBeGreaterThan(grid.values[0]!);
});

test('a sensor at the upper end of its tolerance stands higher among the answers', () => {
  const { placed } = metBy([], grid, KOEO, profile, 100, answers);
  expect(placed).toHaveLength(TOLERANCES.length);
  const middle = placed[TOLERANCES.findIndex(({ at }) => at === 0)]![10]!;
  TOLERANCES.forEach(({ at }, t) => expect(Math.sign(placed[t]![10]! - middle)).toBe(Math.sign(at)));
});

test('temperatures are looked at closely, most of them near the air, between those that the circuit is solved for', () => {
  const celsius = celsiusGrid(20);
  expect(celsius.weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 12);
  const near = ({ values, weights }: typeof celsius) =>
    weights.reduce((sum, weight, i) => sum + (Math.abs(values[i]! - 20) <= 10 ? weight : 0), 0);
  expect(near(celsius)).toBeGreaterThan(0.3);
  expect(near(celsiusGrid(undefined))).toBeLessThan(0.25);
  const { placed, beside } = amongTemperatures(celsius);
  for (const at of [-20, 0, 20, 120])
    expect(placed[0]![celsius.values.indexOf(at)]).toBe(CELSIUS_NODES.indexOf(at));
  expect(placed[0]![celsius.values.indexOf(24)]).toBeCloseTo(CELSIUS_NODES.indexOf(20) + 0.4, 12);
  expect(beside[celsius.values.indexOf(24)]).toBeCloseTo(0.1, 12);
  expect(CELSIUS_DRIVE).not.toBe(driveOf(KOEO));
});

test('what showed the pump’s pressure does not make it another quantity', () => {
  const gauge = {
    name: 'g',
    accuracy: { kind: 'gauge', classPercent: 1, spanKpa: 100, divisionKpa: 1 },
  } as const;
  expect(driveOf({ ...pumped, stimulus: { ...pumped.stimulus, gauge } })).toBe(driveOf(pumped));
  expect(driveOf(IDLE)).not.toBe(driveOf(KOEO));
});

test('hypotheses that answer alike share one list, and a list lies along tolerances and nodes', () => {
  const table = answers.at({ kind: 'wire', lane: 'reference', place: 'plug' }, KOEO);
  const way = metBy([], grid, KOEO, profile, 100, answers);
  const places = { ways: [way], wayOf: new Int32Array(answers.sized.length) };
  const { lists, listOf } = listsOver(table, places, answers.sized, (predicted) => predicted);
  expect(lists.length).toBeLessThan(answers.sized.length);
  answers.sized.forEach(({ fault }, s) => {
    if (fault?.kind.class === 'physical') expect(listOf[s]).toBe(listOf[0]);
  });
  expect(lists[0]).toHaveLength(TOLERANCES.length * grid.values.length);
  // With this likelihood a list is the prediction itself: 5 V of reference, whatever the quantity, as its supply has it.
  TOLERANCES.forEach(({ supplyVolts }, t) => {
    const nodes = grid.values.length;
    for (const volts of lists[listOf[0]!]!.subarray(t * nodes, (t + 1) * nodes))
      expect(volts).toBeCloseTo(5 + supplyVolts, 1);
  });
  expect([...forEveryTolerance(Float64Array.from([1, 2]))]).toEqual(TOLERANCES.flatMap(() => [1, 2]));
});

test('the wires of a reading are also those that something was clipped to', () => {
  const jumped = {
    ...KOEO,
    harness: {
      attachments: [
        {
          kind: 'jumper',
          from: { lane: 'signal', place: 'plug' },
          to: { lane: 'return', place: 'plug' },
        } as const,
        { kind: 'voltage-source', at: { lane: 'second-signal', place: 'plug' }, volts: 1.6 } as const,
      ],
      neighboursOff: [],
      wiggled: false,
    },
  };
  expect(lanesIn(wire('reference', 'plug', 5, jumped)).sort()).toEqual([
    'reference',
    'return',
    'second-signal',
    'signal',
  ]);
  const drop = {
    kind: 'between',
    id: 'b',
    from: { lane: 'return', place: 'plug' },
    to: 'battery-negative',
    volts: 0.02,
    state: KOEO,
  } as const;
  expect(lanesIn(drop)).toEqual(['return']);
});

test('what is asked about a reading', () => {
  const pins = { from: { lane: 'reference', place: 'pin' }, to: { lane: 'return', place: 'pin' } } as const;
  const ohms = { kind: 'ohms', id: 'o', ohms: 700, state: KOEO } as const;
  expect(throughABody({ ...ohms, ...pins })).toBe(true);
  expect(throughABody({ ...ohms, ...pins, to: 'battery-negative' })).toBe(true);
  expect(isOnSecondSignal({ kind: 'wire', lane: 'second-signal' })).toBe(true);
  expect(isOnSecondSignal({ kind: 'scan' })).toBe(false);
  const scan = (id: string, value: number) =>
    ({ kind: 'scan', id, measures: 'absolute-pressure', value, state: KOEO }) as const;
  const caseFile = exampleCase([scan('a', 118), scan('b', 118), scan('c', 60)]);
  expect(caseFile.readings.map((reading) => isRepeat(reading, caseFile, 1))).toEqual([false, true, false]);
});
