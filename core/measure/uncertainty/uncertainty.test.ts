import { expect, test } from 'vitest';
import { MPX4250A } from '../transfer/index.ts';
import {
  compareValues,
  fromLimits,
  fromResolution,
  gaugeTerms,
  measuredValue,
  meterLimitVolts,
  signalTerms,
} from './index.ts';

const meter = { kind: 'meter', percentOfReading: 0.5, counts: 2, displayCounts: 6000 } as const;

// JCGM 100:2008, 4.3.7 and F.2.2.1: a / √3 and δ / √12 = 0.29 δ.
test('limits and resolution become standard uncertainties as JCGM 100 has them', () => {
  expect(fromLimits(1)).toBeCloseTo(0.577, 3);
  expect(fromResolution(1)).toBeCloseTo(0.29, 2);
});

// JCGM 100:2008, H.1.5 (end gauge): u²(l) = 25² + 9.7² + 2.9² + 16.6² nm², so u = 32 nm as printed there.
test('the end-gauge example of JCGM 100, H.1 combines to its printed 32', () => {
  const terms = [25, 9.7, 2.9, 16.6].map((standardUncertainty) => ({
    source: { code: 'x' },
    standardUncertainty,
  }));
  expect(measuredValue(0, terms).expandedUncertainty / 2).toBeCloseTo(32, 0);
});

test.each([
  [0.012, 0.012 * 0.005 + 2 * 0.0001], // 600.0 mV range
  [1.2, 1.2 * 0.005 + 2 * 0.001], // 6.000 V range
  [12.6, 12.6 * 0.005 + 2 * 0.01], // 60.00 V range
])('at %d V a 6000-count meter errs by up to %d V, on the range it picks', (volts, limit) => {
  expect(meterLimitVolts(volts, meter)).toBeCloseTo(limit, 12);
});

test('a class 1.6 gauge of 100 kPa span with 2 kPa divisions: 1.6/√3 and 1/√12 by hand', () => {
  const [gaugeClass, dial] = gaugeTerms({
    name: 'gauge',
    accuracy: { kind: 'gauge', classPercent: 1.6, spanKpa: 100, divisionKpa: 2 },
  });
  expect(gaugeClass?.standardUncertainty).toBeCloseTo(0.9238, 4);
  expect(dial?.standardUncertainty).toBeCloseTo(0.2887, 4);
});

const named = { name: 'meter', accuracy: meter };
test('the budget of 1.20 V on 4.95 V: sensor 3.45/√3, meter 0.008 V and 0.02675 V·0.2424 over 19.8 mV/kPa', () => {
  const wires = {
    signal: { volts: 1.2, meter: named },
    reference: { volts: 4.95, meter: { ...named, name: 'other meter' } },
    return: { volts: 0, assumedWithinVolts: 0 },
  };
  const kpa = signalTerms(wires, MPX4250A).map((term) => term.standardUncertainty);
  expect(kpa[0]).toBeCloseTo(1.9919, 4);
  expect(kpa[1]).toBeCloseTo(0.008 / Math.sqrt(3) / 0.0198, 9);
  expect(kpa[2]).toBeCloseTo(((0.02675 / Math.sqrt(3)) * (1.2 / 4.95)) / 0.0198, 4);
});

const measured = (value: number, expandedUncertainty: number) => ({
  value,
  expandedUncertainty,
  terms: [{ source: { code: `±${expandedUncertainty}` }, standardUncertainty: expandedUncertainty / 2 }],
});

// En by hand: |50 − 47| / √(3² + 4²) = 0.6; |50 − 40| / 5 = 2.
test('En of 0.6 agrees and of 2 disagrees', () => {
  expect(compareValues(measured(50, 3), measured(47, 4), 6)).toMatchObject({ outcome: 'agree', en: 0.6 });
  expect(compareValues(measured(50, 3), measured(40, 4), 6)).toMatchObject({ outcome: 'disagree', en: 2 });
});

test('instruments too coarse for the question cannot tell, and the coarsest is named', () => {
  expect(compareValues(measured(50, 3), measured(47, 9), 6)).toMatchObject({
    outcome: 'cannot-tell',
    limitedBy: { code: '±9' },
  });
});

test('a gross difference is seen even with coarse instruments', () => {
  expect(compareValues(measured(80, 3), measured(40, 9), 6).outcome).toBe('disagree');
});
