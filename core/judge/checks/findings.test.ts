import { commonGauge } from '../../machine/family/index.ts';
import { expect, test } from 'vitest';
import type { Evidence } from '../../record/evidence/index.ts';
import type { GaugeTap, Lane, MachineState, Place } from '../../machine/places/index.ts';
import { toKpa } from '../../measure/quantity/index.ts';
import type { CaseFile } from './caseFile.ts';
import { exampleCase as caseOf, REFRIGERANT_PROFILE } from './exampleCase.ts';
import { gaugeFindings } from './gaugeFindings.ts';
import { signalFindings } from './signalFindings.ts';
import { supplyFindings } from './supplyFindings.ts';
import { coded } from '../../measure/message/coded.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const idle: MachineState = { engine: 'idle', plug: 'connected' };
const off: MachineState = { engine: 'koeo', plug: 'unplugged' };

let count = 0;
const wire = (lane: Lane, place: Place, volts: number, state = koeo): Evidence => ({
  kind: 'wire',
  id: `r${++count}`,
  lane,
  place,
  volts,
  state,
});
const gauge = (inHg: number, tap: GaugeTap = 'sensor-hose', state = idle): Evidence => ({
  kind: 'gauge',
  id: `r${++count}`,
  tap,
  pressureKpa: toKpa(inHg, 'inHg'),
  basis: 'vacuum',
  state,
});
const scan = (value: number, state = koeo): Evidence => ({
  kind: 'scan',
  id: `r${++count}`,
  measures: 'absolute-pressure',
  value,
  state,
});

/** 5 · (0.0078·P + 0.02) volts: 4.00 V at 100 kPa, 1.66 V at 40 kPa. */
const volts = (kpaAbs: number, supplyVolts = 5) => supplyVolts * (0.0078 * kpaAbs + 0.02);
const supply = (...readings: Evidence[]) => coded(supplyFindings(caseOf(readings))).findings;
const signal = (readings: Evidence[], over: Partial<CaseFile> = {}) =>
  coded(signalFindings(caseOf(readings, over)));
const answerOf = (findings: { code: string }[], check: string) =>
  findings.find(({ code }) => code.startsWith(`${check}=`))?.code.slice(check.length + 1);

test.each([
  [4.99, 'normal'],
  [4.95, 'normal'],
  [4.88, 'normal'], // 0.1 V, and the 0.026 V that the meter itself may be off
  [4.8, 'low'],
  [1.2, 'low'],
  [0.02, 'missing'],
  [5.4, 'high'],
])('a loaded reference of %d V at the plug is %s (common practice)', (read, outcome) => {
  expect(answerOf(supply(wire('reference', 'plug', read)), 'reference-at-plug')).toBe(outcome);
});

test('the same voltage answers another question with the plug off, and none with the key off', () => {
  expect(supply(wire('reference', 'plug', 5, off)).map(({ code }) => code)).toEqual([
    'reference-unplugged=normal',
  ]);
  expect(supply(wire('reference', 'plug', 0, { engine: 'key-off', plug: 'connected' }))).toEqual([]);
});

test.each([
  [0.012, 'good'],
  [-0.03, 'good'],
  [0.3, 'raised'],
  [2.4, 'floating'],
])('a loaded return of %d V is %s (common practice)', (read, outcome) => {
  expect(answerOf(supply(wire('return', 'plug', read)), 'return-at-plug')).toBe(outcome);
});

test('the newest reading speaks, and the sentence says its number', () => {
  const [found] = supply(wire('reference', 'plug', 0.1), wire('reference', 'plug', 4.97));
  expect(found?.sentence).toBe(
    'checks.reference-is{place: place.plug, unloaded: false, volts: 4.97 V, outcome: normal}',
  );
});

test('with the engine stopped a signal is ambient, shifted, or at a rail', () => {
  const at = (read: number) =>
    answerOf(signal([wire('signal', 'plug', read), wire('return', 'plug', 0.01)]).findings, 'signal-koeo');
  expect(at(volts(100))).toBe('as-expected');
  expect(at(volts(96))).toBe('as-expected'); // 4 kPa changes no decision
  expect(at(volts(82))).toBe('shifted');
  expect(at(0.1)).toBe('low');
  expect(at(4.9)).toBe('high');
});

test('a shift is the sensor’s own only once the return is known', () => {
  const shifted = wire('signal', 'plug', volts(82));
  expect(answerOf(signal([shifted]).findings, 'signal-koeo')).toBe('shifted-perhaps-by-return');
  const raised = 0.9;
  const honest = wire('signal', 'plug', raised + volts(40, 5 - raised));
  const low = { pressureKpaAbs: 40, expandedUncertaintyKpa: 0.3, source: 'barometer' } as const;
  const found = signal([honest, wire('return', 'plug', raised), wire('reference', 'plug', 5)], {
    ambient: low,
  }).findings;
  expect(answerOf(found, 'signal-koeo')).toBe('shifted-by-return');
});

test('without an ambient pressure a signal in range is remarked on, not judged', () => {
  const { findings, remarks } = signal([wire('signal', 'plug', 2)], { ambient: undefined });
  expect(findings).toEqual([]);
  expect(remarks[0]?.sentence).toContain('families.give-ambient-pressure-first');
});

test('a signal that moves less than 0.1 V between stopped and idling is stuck', () => {
  const between = (a: number, b: number) =>
    answerOf(signal([wire('signal', 'plug', a), wire('signal', 'plug', b, idle)]).findings, 'signal-follows');
  expect(between(4, 1.4)).toBe('moves');
  expect(between(2.31, 2.34)).toBe('stuck');
});

test('the wire is open only when the difference is more than both meters', () => {
  const between = (plug: number, unit: number) =>
    answerOf(
      signal([wire('signal', 'plug', plug), wire('signal', 'unit', unit)]).findings,
      'signal-unit-vs-plug',
    );
  expect(between(3.9, 3.86)).toBe('same');
  expect(between(3.9, 0)).toBe('differs');
});

test.each([
  ['pull-down', 0.01, 'at-bias'],
  ['pull-down', 4.98, 'held-high'],
  ['pull-up', 4.98, 'at-bias'],
  ['pull-up', 0.01, 'held-low'],
] as const)('on a %s input %d V with the plug off is “%s”', (bias, read, outcome) => {
  const { profile } = caseOf([]);
  const found = signal([wire('signal', 'plug', read, off)], { profile: { ...profile, bias } }).findings;
  expect(answerOf(found, 'signal-unplugged')).toBe(outcome);
});

test('a level that no bias explains, or an input that nobody knows, is remarked on', () => {
  const { profile } = caseOf([]);
  expect(signal([wire('signal', 'plug', 2.4, off)]).remarks[0]?.sentence).toBe(
    'checks.level-right-here-not-known{said: checks.plug-off-signal-wire-goes{volts: 2.4 V}}',
  );
  const unknown = signal([wire('signal', 'plug', 5, off)], { profile: { ...profile, bias: 'unknown' } });
  expect([unknown.findings.length, unknown.remarks.length]).toEqual([0, 1]);
});

test('live data is set beside the wire in the same state only, and not when it may be substituted', () => {
  const live = (readings: Evidence[]) => signal(readings);
  expect(answerOf(live([wire('signal', 'plug', volts(100)), scan(101)]).findings, 'live-vs-plug')).toBe(
    'agrees',
  );
  expect(answerOf(live([wire('signal', 'plug', volts(100)), scan(118)]).findings, 'live-vs-plug')).toBe(
    'differs',
  );
  expect(
    answerOf(live([wire('signal', 'plug', volts(100)), scan(101, idle)]).findings, 'live-vs-plug'),
  ).toBeUndefined();
  const substituted = live([wire('signal', 'plug', 0.02), scan(118)]);
  expect(answerOf(substituted.findings, 'live-vs-plug')).toBeUndefined();
  expect(substituted.remarks[0]?.sentence).toBe('checks.signal-past-circuit-limit-live');
});

test.each([
  [20, 'sensor-hose', 'vacuum-at-hose', 'healthy'],
  [13, 'manifold', 'vacuum-at-manifold', 'low'],
  [17.4, 'manifold', 'vacuum-at-manifold', 'healthy'], // 41.1 kPa: within the gauge’s own doubt of 40.4
] as const)('%d inHg %s is a %s that is %s, at an ambient of 100 kPa', (inHg, tap, check, outcome) => {
  expect(answerOf(coded(gaugeFindings(caseOf([gauge(inHg, tap)]))).findings, check)).toBe(outcome);
});

test('a gauge on the service port is set beside a refrigerant sensor, and judges no vacuum', () => {
  const found = (pressureKpa: number) =>
    coded(
      gaugeFindings(
        caseOf(
          [
            wire('signal', 'plug', 2.1, idle), // 1,200 kPa
            wire('return', 'plug', 0.01),
            { kind: 'gauge', id: 'port', tap: 'service-port', pressureKpa, basis: 'gauge', state: idle },
          ],
          {
            family: 'refrigerant-pressure',
            profile: REFRIGERANT_PROFILE,
            gauge: commonGauge('refrigerant-pressure'),
          },
        ),
      ),
    ).findings;
  expect(answerOf(found(1200), 'sensor-vs-gauge-service-port')).toBe('agree');
  expect(answerOf(found(2000), 'sensor-vs-gauge-service-port')).toBe('disagree');
  expect(found(1200)).toHaveLength(1);
  expect(found(1200)[0]!.sentence).toContain('checks.sensor-gauge-above-ambient');
});

test('a gauge and a sensor are set beside each other in the state they share', () => {
  const pair = (kpa: number, state = idle) =>
    answerOf(
      coded(
        gaugeFindings(
          caseOf([wire('signal', 'plug', volts(kpa), state), wire('return', 'plug', 0.01), gauge(18)]),
        ),
      ).findings,
      'sensor-vs-gauge-hose',
    );
  expect(pair(39)).toBe('agree'); // 100 − 18 · 3.386 = 39.0 kPa
  expect(pair(52)).toBe('disagree');
  expect(pair(39, koeo)).toBeUndefined();
});

test('a gauge that claims more vacuum than there is air, or lacks an ambient, is remarked on', () => {
  expect(coded(gaugeFindings(caseOf([gauge(30)]))).remarks[0]?.sentence).toBe(
    'say.problem{message: quantity.below-nothing-ambient{pressureKpa: 101.6 kPa, basis: vacuum, kpaAbs: 1.6 kPa, ambientKpaAbs: 100.0 kPa}, next: quantity.check-unit-basis-ambient-pressure}',
  );
  expect(coded(gaugeFindings(caseOf([gauge(18)], { ambient: undefined }))).remarks[0]?.sentence).toBe(
    'say.problem{message: checks.gauge-cannot-set-beside-sensor, next: checks.give-ambient-pressure}',
  );
});
