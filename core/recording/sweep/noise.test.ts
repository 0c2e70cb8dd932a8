import fc from 'fast-check';
import { expect, test } from 'vitest';
import { localNoise, noiseOf, QUIET_VOLTS } from './noise.ts';

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

test('by windows: a quiet one is 0, and any other is what its own samples scatter by', () => {
  const scatter = fc.double({ min: 0, max: 0.05, noNaN: true });
  fc.assert(
    fc.property(fc.array(scatter, { minLength: 3, maxLength: 8 }), fc.integer(), (sizes, seed) => {
      let state = seed >>> 0;
      const random = () => (state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0) / 2 ** 32 - 0.5;
      const values = Float64Array.from({ length: 256 * sizes.length }, (_, i) => sizes[i >> 8]! * random());
      localNoise(values).windows.forEach((noise, i) => {
        const exact = noiseOf(values.subarray(256 * i, 256 * (i + 1)));
        if (noise === 0) expect(exact).toBeLessThanOrEqual(QUIET_VOLTS);
        else expect([noise, noise > QUIET_VOLTS]).toEqual([exact, true]);
      });
    }),
  );
});
