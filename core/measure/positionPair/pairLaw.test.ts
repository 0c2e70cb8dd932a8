import fc from 'fast-check';
import { expect, test } from 'vitest';
import { pairDeviation } from './index.ts';

test('a mirrored pair sums to the reference at every angle (common practice)', () => {
  expect(pairDeviation(0.8, 4.2, 5, { law: 'mirrored' }).deviationVolts).toBeCloseTo(0, 12);
  expect(pairDeviation(0.8, 4.4, 5, { law: 'mirrored' })).toMatchObject({ expectedSecondVolts: 4.2 });
  expect(pairDeviation(0.8, 4.4, 5, { law: 'mirrored' }).deviationPercentOfReference).toBeCloseTo(4, 9);
});

test('a half-ratio pedal at rest: 1.0 V and 0.5 V belong together (common practice)', () => {
  const law = { law: 'ratio', ratio: 2, offsetVolts: 0 } as const;
  expect(pairDeviation(1, 0.5, 5, law).deviationVolts).toBeCloseTo(0, 12);
  expect(pairDeviation(1, 0.59, 5, law).deviationVolts).toBeCloseTo(0.09, 12);
});

test('two tracks of the same slope differ by their offset alone', () => {
  expect(pairDeviation(2.2, 1.7, 5, { law: 'ratio', ratio: 1, offsetVolts: 0.5 }).deviationVolts).toBeCloseTo(
    0,
    12,
  );
});

test('whatever track 1 reads, the track 2 it calls for has no deviation', () => {
  const volts = fc.double({ min: 0.1, max: 4.9, noNaN: true });
  fc.assert(
    fc.property(volts, fc.double({ min: 0.3, max: 3, noNaN: true }), (first, ratio) => {
      for (const law of [{ law: 'mirrored' } as const, { law: 'ratio', ratio, offsetVolts: 0.2 } as const]) {
        const { expectedSecondVolts } = pairDeviation(first, 0, 5, law);
        expect(Math.abs(pairDeviation(first, expectedSecondVolts, 5, law).deviationVolts)).toBeLessThan(
          1e-12,
        );
      }
    }),
  );
});
