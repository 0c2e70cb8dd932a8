import { expect, test } from 'vitest';
import { exampleCase } from './exampleCase.ts';
import { flowAgainst, flowByRule, speedDensityFlow } from './index.ts';

const hotElement = {
  family: 'air-flow',
  profile: {
    ...exampleCase([]).profile,
    measures: 'air-flow',
    transfer: { form: 'hot-element', a: 0.9, b: 0.95, n: 0.5 },
    lowest: 0,
    highest: 300,
    tolerance: { form: 'of-value', percent: 4, atLeast: 0.2 },
    differenceThatMatters: 1.5,
  },
} as const;
const idle = { engine: 'idle', plug: 'connected' } as const;
const reading = (flow: number) =>
  ({
    kind: 'wire',
    id: 'w',
    lane: 'signal',
    place: 'plug',
    volts: Math.sqrt(0.9 + 0.95 * Math.sqrt(flow)),
    state: idle,
  }) as const;
const given = {
  displacementLitres: 6.8,
  revsPerMinute: 650,
  pressureKpaAbs: 34,
  temperatureKelvin: 310,
  volumetricEfficiency: 0.75,
};

// 0.75 · 6.8 · 650/120 · 34/(0.28705 · 310) = 10.555 g/s; terms 10 %/0.75, 3/34 and 10/310 of it, each /√3.
test('speed–density gives the flow with a budget that adds up by hand', () => {
  const flow = speedDensityFlow(given);
  expect(flow.value).toBeCloseTo(10.555, 2);
  const relative = Math.hypot(0.1 / 0.75, 3 / 34, 10 / 310) / Math.sqrt(3);
  expect(flow.expandedUncertainty / flow.value).toBeCloseTo(2 * relative, 6);
});

test('a 6.8 L engine that shows 3.4 g/s at idle disagrees with both, and 9.4 g/s with neither (common practice)', () => {
  const should = speedDensityFlow(given);
  expect(flowAgainst(exampleCase([reading(3.4)], hotElement), 'idle', should)).toMatchObject({
    value: { outcome: 'disagree' },
  });
  const good = flowAgainst(exampleCase([reading(9.4)], hotElement), 'idle', should);
  expect(good.ok && good.value.en).toBeLessThan(1);
  const fits = [3.4, 9.4, 25, 40, 90].map((flow) => {
    const byRule = flowByRule(exampleCase([reading(flow)], hotElement), 6.8);
    return byRule.ok && byRule.value.fit;
  });
  expect(fits).toEqual(['below', 'as-expected', 'beside-the-rule', 'beside-the-rule', 'above']);
});

test('without a reading, or on another sensor, it says so', () => {
  expect(flowByRule(exampleCase([], hotElement), 2)).toMatchObject({
    problem: { code: 'no-signal-reading' },
  });
  expect(flowByRule(exampleCase([]), 2)).toMatchObject({
    problem: { code: 'not-a-flow-meter' },
  });
});
