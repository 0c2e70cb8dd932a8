import fc from 'fast-check';
import { expect, test } from 'vitest';
import { noiseOf } from './noise.ts';

/** As the text books have it: every second difference sorted, and the one in the middle. */
function sortedNoise(values: readonly number[]): number {
  const bends = values
    .slice(2)
    .map((one, i) => Math.abs(one - 2 * values[i + 1]! + values[i]!))
    .filter((one) => !Number.isNaN(one))
    .sort((a, b) => a - b);
  return bends.length === 0 ? 0 : (1.4826 * bends[bends.length >> 1]!) / Math.sqrt(6);
}

test('the scatter is that of the median bend, whatever the samples, gaps and equals included', () => {
  const sample = fc.oneof(fc.double({ min: -15, max: 15 }), fc.constantFrom(0, 2.5, NaN));
  fc.assert(
    fc.property(fc.array(sample, { maxLength: 400 }), (values) => {
      expect(noiseOf(Float64Array.from(values))).toBe(sortedNoise(values));
    }),
  );
});

test('travel at a steady speed is no noise, and a long recording is sampled', () => {
  expect(noiseOf(Float64Array.from({ length: 60_001 }, (_, i) => i * 0.5))).toBe(0);
});
