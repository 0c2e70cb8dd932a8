import { expect, test } from 'vitest';
import type { Evidence } from '../../record/evidence/index.ts';
import type { Lane, MachineState } from '../../machine/places/index.ts';
import { expectedReading } from '../expectation/index.ts';
import { MPX4115A, type SensorProfile } from '../../measure/transfer/index.ts';
import { compareValues, COMMON_VACUUM_GAUGE, measuredValue } from '../../measure/uncertainty/index.ts';
import { exampleCase, EXAMPLE_PROFILE, FLOW_PROFILE } from './exampleCase.ts';
import { comparisonsIn, expectationContext, findingsIn, pumpPoint, pumpSteps } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const idle: MachineState = { engine: 'idle', plug: 'connected' };
const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const wire = (lane: Lane, volts: number, state = idle) =>
  ({ kind: 'wire', id: lane, lane, place: 'plug', volts, state }) as const satisfies Evidence;
const vacuum = (kpa: number, state = idle): Evidence => ({
  kind: 'gauge',
  id: 'g',
  tap: 'manifold',
  pressureKpa: kpa,
  basis: 'vacuum',
  state,
});
const scan = (value: number, state = idle): Evidence => ({
  kind: 'scan',
  id: 's',
  measures: 'absolute-pressure',
  value,
  state,
});
const supply = [wire('reference', 5), wire('return', 0)];
/** Its electronics stop at 0.7 V, which is 15.4 kPa: (0.7/5 − 0.02)/0.0078. */
const saturating: SensorProfile = { ...EXAMPLE_PROFILE, outputVolts: { lowest: 0.7, highest: 4.6 } };

// Ambient is 100 kPa; 0.68 V is past the lower end of the output.
test('a saturated sensor beside a gauge disagrees or cannot tell, and never has an En', () => {
  const pairAt = (kpaOfVacuum: number) =>
    comparisonsIn(
      exampleCase([...supply, wire('signal', 0.68), vacuum(kpaOfVacuum)], { profile: saturating }),
      idle,
    ).pairs[0]!;
  expect(pairAt(60)).toMatchObject({ comparison: { outcome: 'disagree', en: undefined, ofBound: true } }); // 40 kPa
  expect(pairAt(90)).toMatchObject({ comparison: { outcome: 'cannot-tell', en: undefined } }); // 10 kPa
});

test.each([
  ['at-or-below', 15, 40, 'disagree'],
  ['at-or-below', 15, 10, 'cannot-tell'],
  ['at-or-below', 15, 15, 'cannot-tell'],
  ['at-or-above', 115, 100, 'disagree'],
  ['at-or-above', 115, 130, 'cannot-tell'],
] as const)('%s %d kPa beside %d kPa: %s', (bound, end, other, outcome) => {
  const doubt = [{ source: { code: 'x' }, standardUncertainty: 1 }];
  const one = measuredValue(end, doubt, bound);
  const two = measuredValue(other, doubt);
  expect(compareValues(one, two, 6.8)).toMatchObject({ outcome, en: undefined });
  expect(compareValues(two, one, 6.8)).toMatchObject({ outcome, en: undefined });
});

test('a signal on ground beside a vacuum gauge is a circuit low, and is compared with nothing', () => {
  const { pairs, sources, noSensor } = comparisonsIn(
    exampleCase([...supply, wire('signal', 0.02), vacuum(60), scan(13)]),
    idle,
  );
  expect(pairs).toEqual([]);
  expect(sources.map(({ name }) => name)).not.toContain('sensor');
  expect(coded(noSensor)).toBe(
    'checks.signal-circuit-limit-matter-circuit{volts: 0.02 V, rail: low, limit: 0.30 V}',
  );
  const pumped = { ...koeo, stimulus: { kind: 'pump', kpaAboveAmbient: -30 } } as const;
  const { judged } = pumpPoint(exampleCase([wire('signal', 0.02, pumped)]), -30, COMMON_VACUUM_GAUGE);
  expect(judged).toMatchObject({ ok: false, problem: { code: 'circuit-low' } });
});

test('live data and gauge are set beside each other where no signal wire was read', () => {
  const pairsWith = (kpaOfVacuum: number) =>
    comparisonsIn(exampleCase([vacuum(kpaOfVacuum), scan(40)]), idle).pairs;
  expect(pairsWith(60)).toMatchObject([
    { a: 'live-data', b: 'gauge-at-manifold', comparison: { outcome: 'agree' } },
  ]);
  expect(pairsWith(40)).toMatchObject([{ comparison: { outcome: 'disagree' }, matters: true }]);
});

test('a pump table expects no more volts than the supply gives, nor than the electronics can', () => {
  // MPX4115A: 5·(0.009·115 − 0.095) = 4.70 V at 115 kPa; deep vacuum asks for less than nothing.
  for (const profile of [MPX4115A, EXAMPLE_PROFILE, saturating, FLOW_PROFILE]) {
    const caseFile = exampleCase([], { profile, family: 'manifold-pressure' });
    const context = expectationContext(caseFile);
    for (const kpa of pumpSteps(caseFile, 100, 'kPa', 12)) {
      const band = expectedReading(
        { kind: 'wire', lane: 'signal', place: 'plug' },
        { ...koeo, stimulus: { kind: 'pump', kpaAboveAmbient: kpa } },
        context,
      );
      if (!band) continue;
      expect(band.lowest).toBeGreaterThanOrEqual(0);
      expect(band.highest).toBeLessThanOrEqual(context.referenceVolts + 0.1 + 1e-12);
      expect(band.highest).toBeLessThanOrEqual(((profile.outputVolts?.highest ?? 5) / 5) * 5.1 + 1e-12);
    }
  }
  const beyond = expectedReading(
    { kind: 'wire', lane: 'signal', place: 'plug' },
    { ...koeo, stimulus: { kind: 'pump', kpaAboveAmbient: 60 } },
    expectationContext(exampleCase([])),
  );
  expect(beyond?.highest).toBeLessThanOrEqual(5.1);
});

test('an end that a signal is past is said as a side, not as a number', () => {
  const { findings, remarks } = coded(
    findingsIn(
      exampleCase([wire('reference', 5, koeo), wire('return', 0, koeo), wire('signal', 0.68, koeo)], {
        profile: saturating,
      }),
    ),
  );
  const said = [...findings, ...remarks].map(({ sentence }) => sentence).join(' ');
  expect(said).toContain('doubt.at-or-below{value: 15.38 absolute-pressure}');
});
