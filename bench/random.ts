/** Mulberry32: a small seeded generator, so that a machine and its noise are the same at every visit. */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** A normal deviate by the sum of twelve, good enough to tremble a last digit. */
export function normalDeviate(random: () => number): number {
  let sum = -6;
  for (let i = 0; i < 12; i++) sum += random();
  return sum;
}
