import fc from 'fast-check';
import { expect, test } from 'vitest';
import { MPX4250A, type SensorProfile } from '../transfer/index.ts';
import {
  budgetRows,
  compareValues,
  enSaid,
  expandedWithBetter,
  measuredValue,
  signalTerms,
  type MeterAccuracy,
} from './index.ts';
import reference from './reference/budgets.json' with { type: 'json' };

const meter = (percentOfReading: number, counts: number, displayCounts: number) => {
  const accuracy: MeterAccuracy = { kind: 'meter', percentOfReading, counts, displayCounts };
  const named = { name: 'meter', accuracy };
  return { signal: named, reference: { ...named, name: 'another meter' } };
};
const profile = (over: Partial<SensorProfile>): SensorProfile => ({ ...MPX4250A, ...over });
const within = (plusMinus: number) => ({ form: 'plus-minus', plusMinus }) as const;

const CASES: Record<keyof typeof reference, [SensorProfile, number, number, ReturnType<typeof meter>]> = {
  ratiometric: [MPX4250A, 1.2, 4.95, meter(0.5, 2, 6000)],
  linear: [
    profile({
      transfer: { form: 'linear', low: { volts: 0.5, value: 20 }, high: { volts: 4.5, value: 200 } },
      tolerance: within(3),
    }),
    2.71,
    4.99,
    meter(0.5, 2, 6000),
  ],
  falling: [
    profile({
      transfer: { form: 'linear', low: { volts: 4.2, value: 0 }, high: { volts: 0.8, value: 100 } },
      tolerance: within(2),
    }),
    2.9,
    5,
    meter(0.1, 3, 50_000),
  ],
  polynomial: [
    profile({
      transfer: {
        form: 'polynomial',
        coefficients: [-4.2, 14, 1.6],
        fromVolts: 0.3,
        toVolts: 4.7,
        ratiometric: true,
      },
      tolerance: within(2.5),
    }),
    2.2,
    4.9,
    meter(1, 5, 4000),
  ],
  hotElement: [
    profile({
      measures: 'air-flow',
      transfer: { form: 'hot-element', a: 0.9, b: 0.95, n: 0.52 },
      tolerance: { form: 'of-value', percent: 4, atLeast: 0.2 },
    }),
    2.4,
    5,
    meter(0.5, 2, 6000),
  ],
};

test.each(Object.keys(CASES) as (keyof typeof CASES)[])(
  'the %s budget is that of the independent script',
  (name) => {
    const [sensor, signalVolts, referenceVolts, meters] = CASES[name];
    const expected = reference[name];
    const terms = signalTerms(
      {
        signal: { volts: signalVolts, meter: meters.signal },
        reference: { volts: referenceVolts, meter: meters.reference },
        return: { volts: 0, assumedWithinVolts: 0 },
      },
      sensor,
    );
    // What the reference does not move brings no term.
    expected.terms
      .filter((term) => term > 0)
      .forEach((term, i) => expect(terms[i]?.standardUncertainty).toBeCloseTo(term, 6));
    expect(measuredValue(0, terms).expandedUncertainty).toBeCloseTo(expected.expanded, 6);
  },
);

// By hand: 3, 4 and 12 add to 13; with the 12 halved, 3, 4 and 6 add to √61.
test('a budget ranks its terms, and says what a better instrument would change', () => {
  const terms = [3, 12, 4].map((standardUncertainty, i) => ({
    source: { code: `t${i}` },
    standardUncertainty,
  }));
  expect(budgetRows(terms).map(({ source }) => source.code)).toEqual(['t1', 't2', 't0']);
  expect(budgetRows(terms)[0]?.share).toBeCloseTo(144 / 169, 12);
  expect(measuredValue(0, terms).expandedUncertainty).toBeCloseTo(26, 12);
  expect(expandedWithBetter(terms, { code: 't1' }, 0.5)).toBeCloseTo(2 * Math.sqrt(61), 12);
  expect(budgetRows([])).toEqual([]);
});

// En of ISO 13528 by hand: |10.2 − 10.0| / √(0.15² + 0.2²) = 0.8; |10.6 − 10.0| / 0.25 = 2.4.
test.each([
  [10.2, 10, 0.8, 'agree'],
  [10.6, 10, 2.4, 'disagree'],
  [9.75, 10, 1, 'agree'],
] as const)('En of %d against %d is %d: %s', (a, b, en, outcome) => {
  const one = measuredValue(a, [{ source: { code: 'a' }, standardUncertainty: 0.075 }]);
  const other = measuredValue(b, [{ source: { code: 'b' }, standardUncertainty: 0.1 }]);
  const comparison = compareValues(one, other, 1);
  expect(comparison.en).toBeCloseTo(en, 9);
  expect(comparison.outcome).toBe(outcome);
});

test('what would suffice really does: with that limit the instruments can tell', () => {
  const u = fc.double({ min: 0.01, max: 10, noNaN: true });
  fc.assert(
    fc.property(u, u, fc.double({ min: 0.1, max: 10, noNaN: true }), (a, b, matters) => {
      const one = (standardUncertainty: number) =>
        measuredValue(0, [{ source: { code: 'a' }, standardUncertainty }]);
      const other = measuredValue(0, [{ source: { code: 'b' }, standardUncertainty: Math.min(a, b) }]);
      const comparison = compareValues(one(Math.max(a, b)), other, matters);
      if (comparison.outcome !== 'cannot-tell') return true;
      if (comparison.sufficientLimits === undefined) return 2 * Math.min(a, b) >= matters - 1e-9;
      const better = compareValues(one((comparison.sufficientLimits / Math.sqrt(3)) * 0.999), other, matters);
      return better.outcome === 'agree';
    }),
  );
});

test('an En without measure is told as over a bound, never as infinity', () => {
  const exact = (value: number) => measuredValue(value, []);
  expect(enSaid(compareValues(exact(1), exact(2), 1).en ?? NaN)).toEqual({
    code: 'doubt.over',
    values: { most: 100 },
  });
  expect(enSaid(compareValues(exact(1), exact(1), 1).en ?? NaN)).toEqual({ fixed: 0, decimals: 2 });
});
