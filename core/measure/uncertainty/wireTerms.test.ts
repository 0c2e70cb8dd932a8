import { expect, test } from 'vitest';
import { MPX4250A } from '../transfer/index.ts';
import {
  gaugeTerms,
  liveDataTerms,
  measuredValue,
  signalTerms,
  wireTerms,
  type GaugeAccuracy,
  type Instrument,
  type MeterAccuracy,
} from './index.ts';

const accuracy: MeterAccuracy = { kind: 'meter', percentOfReading: 0.5, counts: 2, displayCounts: 6000 };
const mine: Instrument<MeterAccuracy> = { name: 'my meter', accuracy };
const named = (meter: Instrument<MeterAccuracy>) => (volts: number) => ({ volts, meter });
const sum = (terms: ReturnType<typeof wireTerms>) => measuredValue(0, terms).expandedUncertainty;

test('the gain of one meter is common to its readings: in a share of the reference it cancels', () => {
  const value = (signal: Instrument<MeterAccuracy>, reference: Instrument<MeterAccuracy>) =>
    signalTerms(
      {
        signal: named(signal)(2.4),
        reference: named(reference)(5),
        return: { volts: 0, assumedWithinVolts: 0 },
      },
      MPX4250A,
    );
  const gain = value(mine, mine).find(({ source }) => source.code === 'doubt.gain-same');
  expect(gain?.standardUncertainty).toBeCloseTo(0, 12);
  const other = { ...mine, name: 'another meter' };
  expect(sum(value(mine, other))).toBeGreaterThan(sum(value(mine, mine)));
});

test('readings of meters that nobody named are not taken for readings of one', () => {
  const unnamed = { ...mine, assumed: true };
  const terms = wireTerms([
    { name: { code: 'signal' }, input: named(unnamed)(2), resultPerVolt: 1 },
    { name: { code: 'reference' }, input: named(unnamed)(2), resultPerVolt: -1 },
  ]);
  // By hand: 0.5 % of 2 V and two counts of a millivolt, twice, as squares.
  expect(sum(terms)).toBeCloseTo((2 * Math.SQRT2 * 0.012) / Math.sqrt(3), 9);
});

test('of the difference of two readings by one meter only the last digits are left', () => {
  const terms = wireTerms([
    { name: { code: 'after' }, input: named(mine)(4.2), resultPerVolt: 1 },
    { name: { code: 'before' }, input: named(mine)(4.2), resultPerVolt: -1 },
  ]);
  expect(sum(terms)).toBeCloseTo((2 * Math.SQRT2 * 0.002) / Math.sqrt(3), 9);
});

test('a wire that nobody read is a term by name, with what is taken for it', () => {
  const [term] = wireTerms([
    { name: { code: 'reference' }, input: { volts: 5, assumedWithinVolts: 0.1 }, resultPerVolt: 2 },
  ]);
  expect(term?.source).toEqual({
    code: 'doubt.not-read-taken',
    values: { wire: { code: 'reference' }, volts: { plain: 5, unit: 'V' } },
  });
  expect(term?.standardUncertainty).toBeCloseTo(0.2 / Math.sqrt(3), 12);
});

test('the doubt of a fitted curve is a term of the budget', () => {
  const wires = {
    signal: named(mine)(2.4),
    reference: { volts: 5, assumedWithinVolts: 0.1 },
    return: { volts: 0, assumedWithinVolts: 0 },
  };
  const fitted = signalTerms(wires, { ...MPX4250A, fitUncertaintyVolts: 0.01 });
  const term = fitted.find(({ source }) => source.code === 'doubt.curve-fitted-points');
  expect(term?.standardUncertainty).toBeCloseTo(0.01 / 0.02, 9); // 20 mV/kPa at 5 V
  expect(signalTerms(wires, MPX4250A).some(({ source }) => source.code === 'doubt.curve-fitted-points')).toBe(
    false,
  );
});

test('live data has the counts of the unit’s converter beside its step', () => {
  const [step, converter] = liveDataTerms(1, 250);
  expect(step?.standardUncertainty).toBeCloseTo(1 / Math.sqrt(12), 12);
  // Two counts of 1023 over what the whole reference stands for.
  expect(converter?.standardUncertainty).toBeCloseTo((2 / 1023) * 250 * (1 / Math.sqrt(3)), 9);
});

test.each([
  ['division', 2],
  ['half', 1],
  ['quarter', 0.5],
] as const)('a dial of 2 kPa divisions read to the %s resolves %d kPa', (readTo, stepKpa) => {
  const gauge: GaugeAccuracy = { kind: 'gauge', classPercent: 1.6, spanKpa: 100, divisionKpa: 2, readTo };
  const dial = gaugeTerms({ name: 'gauge', accuracy: gauge })[1];
  expect(dial?.standardUncertainty).toBeCloseTo(stepKpa / Math.sqrt(12), 12);
});
