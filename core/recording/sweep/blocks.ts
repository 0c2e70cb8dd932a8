/** Few enough that a signal hardly moves meanwhile, and enough that looking at blocks costs nothing. */
const SAMPLES = 64;

/** Lowest and highest of each block; those of one without a number are infinite, the wrong way round. */
export interface Blocks {
  /** Of a block; the last one may have fewer. */
  samples: number;
  lowest: Float64Array;
  highest: Float64Array;
}

const known = new WeakMap<Float64Array, Blocks>();

/** The blocks of a channel, looked at once: whoever looks for something rare in millions of samples passes over whole blocks of them. */
export function blocksOf(values: Float64Array): Blocks {
  const before = known.get(values);
  if (before) return before;
  const count = Math.ceil(values.length / SAMPLES);
  const blocks = { samples: SAMPLES, lowest: new Float64Array(count), highest: new Float64Array(count) };
  for (let block = 0; block < count; block++) look(values, blocks, block);
  known.set(values, blocks);
  return blocks;
}

/** A copy that lacks some stretches, `to` not included; its blocks are known with it. */
export function withoutStretches(
  values: Float64Array,
  stretches: readonly { from: number; to: number }[],
): Float64Array {
  const copy = values.slice();
  const { lowest, highest } = blocksOf(values);
  const blocks = { samples: SAMPLES, lowest: lowest.slice(), highest: highest.slice() };
  for (const { from, to } of stretches) copy.fill(NaN, from, to);
  for (const { from, to } of stretches)
    for (let block = Math.floor(from / SAMPLES); block * SAMPLES < to; block++) look(copy, blocks, block);
  known.set(copy, blocks);
  return copy;
}

function look(values: Float64Array, { lowest, highest }: Blocks, block: number): void {
  let [low, high] = [Infinity, -Infinity];
  const end = Math.min(values.length, (block + 1) * SAMPLES);
  for (let i = block * SAMPLES; i < end; i++) {
    const value = values[i]!;
    // Comparisons with NaN are false: what is no number leaves no trace.
    if (value < low) low = value;
    if (value > high) high = value;
  }
  lowest[block] = low;
  highest[block] = high;
}
