import { expect, test } from 'vitest';
import { exampleCase, EXAMPLE_PROFILE } from '../checks/exampleCase.ts';
import {
  comparisonsIn,
  countedValue,
  isPumpStepOff,
  lineSeen,
  pumpState,
  readPumpSteps,
} from '../checks/index.ts';
import { COMMON_VACUUM_GAUGE } from '../../measure/uncertainty/index.ts';
import type { MachineState } from '../../machine/places/index.ts';
import type { SensorProfile } from '../../measure/transfer/index.ts';
import type { AnyEvidence, Evidence } from '../../record/evidence/index.ts';
import { goodSupply, IDLE, KOEO, PLUG_OFF, wire, WIRES } from './exampleWeighing.ts';
import { judge, weigherFor } from './index.ts';

const pressure: SensorProfile = {
  ...EXAMPLE_PROFILE,
  measures: 'absolute-pressure',
  transfer: {
    form: 'frequency',
    points: [
      { hertz: 80, value: 20 },
      { hertz: 107, value: 60 },
      { hertz: 138, value: 105 },
    ],
  },
  lowest: 20,
  highest: 105,
  tolerance: { form: 'plus-minus', plusMinus: 1.7 },
  differenceThatMatters: 4,
  bias: 'pull-up',
};
const asDuty: SensorProfile = {
  ...pressure,
  transfer: {
    form: 'duty',
    points: [
      { upPercent: 90, value: 20 },
      { upPercent: 10, value: 105 },
    ],
  },
};
let count = 0;
const frequency = (
  hertz: number,
  state: MachineState = KOEO,
  place: 'plug' | 'unit' = 'plug',
): AnyEvidence => ({
  kind: 'frequency',
  id: `counted ${++count}`,
  lane: 'signal',
  place,
  hertz,
  state,
});
const duty = (upPercent: number, state: MachineState = KOEO): AnyEvidence => ({
  kind: 'duty',
  id: `counted ${++count}`,
  lane: 'signal',
  place: 'plug',
  upPercent,
  state,
});
const scan = (value: number, state = KOEO): Evidence => ({
  kind: 'scan',
  id: `scan ${++count}`,
  measures: 'absolute-pressure',
  value,
  state,
});
const judged = (isolation: AnyEvidence[], readings: Evidence[] = [], profile = pressure) => {
  const caseFile = exampleCase([...goodSupply(), ...readings], {
    profile,
    isolation,
  });
  return judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
};
const shareOf = (found: ReturnType<typeof judged>, of: string) =>
  found.classes.find((one) => one.class === of)!.share;

const supply = (found: ReturnType<typeof judged>) => shareOf(found, 'wire') + shareOf(found, 'control-unit');

test('at rest a frequency that says ambient clears supply, wires and sensor; another one accuses the sensor', () => {
  expect(judged([]).suggestions.some(({ candidate: { target } }) => target.kind === 'frequency')).toBe(true);
  const right = judged([frequency(135.3)], [scan(101)]);
  expect(shareOf(right, 'sensor') + supply(right)).toBeLessThan(0.25);
  // Live data shows the same wrong value: what is sent arrives, and is wrong.
  const wrong = judged([frequency(107)], [scan(60)]);
  expect(wrong.ranked[0]!.decision.id).toBe('sensor');
  expect(wrong.ranked[0]!.share).toBeGreaterThan(0.6);
});

test('what is sent and does not arrive is the wire’s or the unit’s', () => {
  const lost = judged([frequency(135.3), frequency(0, KOEO, 'unit')]);
  expect(shareOf(lost, 'wire')).toBeGreaterThan(0.6);
  const unread = judged([frequency(135.3)], [scan(60)]);
  expect(supply(unread)).toBeGreaterThan(0.75);
  const held = judged(
    [frequency(0)],
    [wire('signal', 'plug', 0.01), wire('signal', 'plug', 0.01, PLUG_OFF), scan(60)],
  );
  expect(held.ranked[0]!.decision.id).toMatch(/^wire-to-ground signal/u);
});

test('a duty counts, also where a meter counts how long the line is down', () => {
  const sensor = [14, 86, 40].map((upPercent) => shareOf(judged([duty(upPercent)], [], asDuty), 'sensor'));
  expect(sensor[0]).toBeLessThan(0.3);
  expect(sensor[1]).toBeLessThan(0.35);
  expect(sensor[2]).toBeGreaterThan(0.6);
  // The other setting of the meter tells that there is something, and no value.
  const [low, high] = [20, 60].map((upPercent) => judged([duty(upPercent)]));
  expect(shareOf(low!, 'sensor')).toBeCloseTo(shareOf(high!, 'sensor'), 9);
  expect(supply(low!)).toBeLessThan(supply(judged([])));
});

test('with the key off nothing is counted that means anything', () => {
  const off: MachineState = { engine: 'key-off', plug: 'connected' };
  expect(shareOf(judged([frequency(0, off)]), 'wire')).toBeCloseTo(shareOf(judged([]), 'wire'), 9);
});

test('hertz on a part that should give a voltage tell of another part; a steady voltage does not', () => {
  const caseFile = (hertz: number) => exampleCase(goodSupply(), { isolation: [frequency(hertz)] });
  expect(lineSeen(caseFile(135))).toBe('pulses');
  expect(lineSeen(caseFile(0))).toBeUndefined();
});

test('a pump step is counted as well: what it should be, what it was, and whether both agree', () => {
  const at = (kpa: number, hertz: number) => frequency(hertz, pumpState(kpa));
  const caseFile = exampleCase(goodSupply(), { profile: pressure, isolation: [at(0, 135.5), at(-41, 130)] });
  const [rest, deep, more] = readPumpSteps(caseFile, COMMON_VACUUM_GAUGE);
  expect(more).toBeUndefined();
  // 101 kPa and 41 less: 60 kPa is 107 Hz.
  expect(deep!.expected).toBeUndefined();
  expect(deep!.counts!.lowest).toBeLessThan(107);
  expect(deep!.counts!.highest).toBeGreaterThan(107);
  expect(rest!.judged).toMatchObject({ ok: true, value: { matters: false } });
  expect(isPumpStepOff(rest!)).toBe(false);
  expect(isPumpStepOff(deep!)).toBe(true);
  // The other setting of the meter hides no step, and of a sensor that gives volts hertz are none.
  const beside = [...caseFile.isolation, duty(50, pumpState(-41))];
  expect(readPumpSteps({ ...caseFile, isolation: beside }, COMMON_VACUUM_GAUGE)[1]!.reading).toMatchObject({
    hertz: 130,
  });
  expect(readPumpSteps(exampleCase([], { isolation: [at(0, 100)] }), COMMON_VACUUM_GAUGE)).toEqual([]);
});

test('what was counted is compared like a voltage, with the doubt of the counter', () => {
  const counted = frequency(107, IDLE);
  const gauge: Evidence = {
    kind: 'gauge',
    id: 'gauge',
    tap: 'sensor-hose',
    pressureKpa: 40,
    basis: 'vacuum',
    state: IDLE,
  };
  const caseFile = exampleCase([...goodSupply(), gauge], { profile: pressure, isolation: [counted] });
  const { sources, pairs } = comparisonsIn(caseFile, { engine: 'idle' });
  expect(sources.find(({ name }) => name === 'sensor')!.measured.value).toBeCloseTo(60, 6);
  expect(pairs).toHaveLength(1);
  // 0.3 % of 107 Hz and 0.2 Hz are 0.52 Hz, at about 1.48 kPa a hertz; with ±1.7 kPa of the sensor, k = 2.
  const { expandedUncertainty } = sources.find(({ name }) => name === 'sensor')!.measured;
  expect(expandedUncertainty).toBeCloseTo((2 * Math.hypot(1.7, 0.52 * 1.48)) / Math.sqrt(3), 1);
  if (counted.kind !== 'frequency') throw new Error('no frequency');
  expect(countedValue(caseFile, { ...counted, hertz: 0 })).toBeUndefined();
  expect(countedValue(exampleCase([]), counted)).toBeUndefined();
});
