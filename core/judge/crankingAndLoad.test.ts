import { expect, test } from 'vitest';
import { EXAMPLE_PROFILE, exampleCase, FLOW_PROFILE } from './checks/exampleCase.ts';
import { expectationContext, findingsIn } from './checks/index.ts';
import { valueOfSignal } from './checks/sensorValue.ts';
import { supplyIsGood } from './checks/supplyIsGood.ts';
import { expectedReading, whyNoExpectation } from './expectation/index.ts';
import { weighJob } from './weighing/index.ts';
import { FAMILY_IDS } from '../machine/family/index.ts';
import type { EngineState, MachineState } from '../machine/places/index.ts';
import { coded } from '../measure/message/coded.ts';

const at = (engine: EngineState): MachineState => ({ engine, plug: 'connected' });
const signal = { kind: 'wire', lane: 'signal', place: 'plug' } as const;
const feed = { kind: 'wire', lane: 'battery-feed', place: 'plug' } as const;

test('cranking and under load each family says what to expect, or why it cannot', () => {
  for (const family of FAMILY_IDS)
    for (const engine of ['cranking', 'under-load'] as const) {
      const context = expectationContext(exampleCase([], { family }));
      const expected = expectedReading(signal, at(engine), context);
      if (expected) expect(expected.lowest, family).toBeLessThanOrEqual(expected.highest);
      else expect(whyNoExpectation(signal, at(engine), context), family).toBeDefined();
    }
});

test('the starter leaves the manifold near ambient; under load it is not said where it stands', () => {
  const context = expectationContext(exampleCase([]));
  // 5·(0.0078·P + 0.02): 80 and 100 kPa.
  expect(expectedReading(signal, at('cranking'), context)!.lowest).toBeLessThan(3.22);
  expect(expectedReading(signal, at('cranking'), context)!.highest).toBeGreaterThan(4);
  expect(expectedReading(signal, at('under-load'), context)).toBeUndefined();
  expect(coded(whyNoExpectation(signal, at('under-load'), context))).toBe(
    'say.problem{message: families.under-load-depends-on-engine, next: families.compare-under-load-with-maker}',
  );
});

test('10 V on the feed of a flow meter is as it should be while it cranks, low while it idles, and accuses nobody', () => {
  const flow = { family: 'air-flow', profile: FLOW_PROFILE, displacementLitres: 1.6 } as const;
  const read = (engine: EngineState) => ({ ...feed, id: engine, state: at(engine), volts: 10 });
  expect(supplyIsGood('battery-feed', read('cranking'), exampleCase([], flow))).toBe(true);
  expect(supplyIsGood('battery-feed', read('idle'), exampleCase([], flow))).toBe(false);
  const lanes = ['reference', 'signal', 'return', 'battery-feed'] as const;
  const shares = (readings: ReturnType<typeof read>[]) =>
    weighJob(exampleCase(readings, flow), lanes).causes.map(({ cause, share }) => [cause, share.toFixed(6)]);
  const sound = { ...signal, id: 's', state: at('koeo'), volts: 0.95 };
  expect(shares([sound as never, read('cranking')])).toEqual(shares([sound as never]));
  expect(
    expectedReading(feed, at('cranking'), expectationContext(exampleCase([], { profile: EXAMPLE_PROFILE }))),
  ).toMatchObject({ lowest: 9.6 });
});

test('a reference that the starter pulls down is the reference of nothing else, and accuses no wire', () => {
  const reference = { ...signal, lane: 'reference', id: 'r', state: at('cranking'), volts: 4.3 } as const;
  const sound = { ...signal, id: 's', state: at('koeo'), volts: 4 } as const;
  const [with_, without] = [exampleCase([reference, sound]), exampleCase([sound])];
  expect(valueOfSignal(with_, sound)).toEqual(valueOfSignal(without, sound));
  expect(findingsIn(with_).findings.map(({ code }) => code)).toEqual(
    findingsIn(without).findings.map(({ code }) => code),
  );
  const lanes = ['reference', 'signal', 'return'] as const;
  const shares = (of: typeof with_) =>
    weighJob(of, lanes).causes.map(({ cause, share }) => [cause, share.toFixed(6)]);
  expect(shares(with_)).toEqual(shares(without));
});
