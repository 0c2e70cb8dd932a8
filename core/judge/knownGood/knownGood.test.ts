import { expect, test } from 'vitest';
import { knownGoodOf, type ProvenValue } from './index.ts';

/** Numbers that are the same in every run. */
function drawing(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return (state + 0.5) / 2 ** 32;
  };
}
const TRUE = { mean: 1.24, sigma: 0.025 };
/** Two hundred jobs, one in twenty of them not what it was taken for. */
function workshop(seed: number): ProvenValue[] {
  const draw = drawing(seed);
  return Array.from({ length: 200 }, (_, i) => {
    const normal = Math.sqrt(-2 * Math.log(draw())) * Math.cos(2 * Math.PI * draw());
    return {
      jobId: `job ${i}`,
      value: i % 20 === 0 ? 5 * draw() : TRUE.mean + TRUE.sigma * normal,
    };
  });
}

test('with 200 jobs of which one in twenty is wrong, the band is the true spread within a tenth', () => {
  const ratios = Array.from({ length: 60 }, (_, seed) => {
    const { lowest, highest, median } = knownGoodOf(workshop(seed + 1))!;
    expect(Math.abs(median - TRUE.mean)).toBeLessThan(0.3 * TRUE.sigma);
    return (highest - lowest) / (2 * 1.645 * TRUE.sigma);
  });
  const mean = ratios.reduce((sum, ratio) => sum + ratio, 0) / ratios.length;
  expect(Math.abs(mean - 1)).toBeLessThan(0.04);
  // Two hundred jobs give a spread to 5 % themselves: now and then one workshop is just past a tenth.
  expect(ratios.filter((ratio) => Math.abs(ratio - 1) < 0.1).length / ratios.length).toBeGreaterThan(0.9);
});

test('one bad job among eight moves nothing, and is named', () => {
  const good = [1.22, 1.23, 1.24, 1.24, 1.25, 1.26, 1.25].map((value, i) => ({ jobId: `good ${i}`, value }));
  const found = knownGoodOf([...good, { jobId: 'bad', value: 4.9 }])!;
  expect(found.leftOut).toEqual(['bad']);
  expect(found.isSpread).toBe(true);
  expect(found.jobs).toBe(8);
  expect(found.lowest).toBeGreaterThan(1.2);
  expect(found.highest).toBeLessThan(1.28);
});

test('few jobs say what they read, a job counts once, and equal readings are a band of no width', () => {
  expect(knownGoodOf([])).toBeUndefined();
  expect(
    knownGoodOf([
      { jobId: 'a', value: 1.2 },
      { jobId: 'a', value: 1.4 },
      { jobId: 'a', value: 1.3 },
      { jobId: 'b', value: 1.5 },
    ]),
  ).toMatchObject({ jobs: 2, readings: 4, isSpread: false, lowest: 1.3, highest: 1.5, median: 1.4 });
  const same = Array.from({ length: 10 }, (_, i) => ({ jobId: `${i}`, value: 5.01 }));
  const found = knownGoodOf([...same, { jobId: 'other', value: 5.02 }])!;
  expect(found.lowest).toBeLessThanOrEqual(5.01);
  expect(found.highest).toBeGreaterThanOrEqual(5.01);
});
