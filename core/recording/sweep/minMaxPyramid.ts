/** Each level has the lowest and highest of this many of the level below. */
const FANOUT = 16;

interface Level {
  lowest: Float64Array;
  highest: Float64Array;
  /** Samples that one entry stands for. */
  samples: number;
}

/** What is drawn in one column of a plot: every sample of it lies between these. NaN where there is none. */
export interface Envelope {
  lowest: Float64Array;
  highest: Float64Array;
}

/**
 * Lowest and highest of any stretch of a signal, in a time that does not grow with its length: a dropout of one sample in
 * millions is never aliased away.
 */
export class MinMaxPyramid {
  readonly #values: Float64Array;
  readonly #levels: Level[] = [];

  constructor(values: Float64Array) {
    this.#values = values;
    let below: Level = { lowest: values, highest: values, samples: 1 };
    while (below.lowest.length > FANOUT) {
      below = above(below);
      this.#levels.push(below);
    }
  }

  get length(): number {
    return this.#values.length;
  }

  /** Lowest and highest of samples `from` up to but not including `to`. */
  extremes(from: number, to: number): [lowest: number, highest: number] {
    let [lowest, highest] = [Infinity, -Infinity];
    const take = (low: number, high: number) => {
      if (low < lowest) lowest = low;
      if (high > highest) highest = high;
    };
    let at = Math.max(0, from);
    const end = Math.min(to, this.#values.length);
    while (at < end) {
      const level = this.#levels.findLast(({ samples }) => at % samples === 0 && at + samples <= end);
      if (level) {
        const entry = at / level.samples;
        take(level.lowest[entry]!, level.highest[entry]!);
        at += level.samples;
      } else {
        take(this.#values[at]!, this.#values[at]!);
        at++;
      }
    }
    return lowest <= highest ? [lowest, highest] : [NaN, NaN];
  }
}

function above(below: Level): Level {
  const length = Math.ceil(below.lowest.length / FANOUT);
  const lowest = new Float64Array(length).fill(Infinity);
  const highest = new Float64Array(length).fill(-Infinity);
  for (let i = 0; i < below.lowest.length; i++) {
    const entry = Math.floor(i / FANOUT);
    const [low, high] = [below.lowest[i]!, below.highest[i]!];
    // Comparisons with NaN are false: gaps leave no trace.
    if (low < lowest[entry]!) lowest[entry] = low;
    if (high > highest[entry]!) highest[entry] = high;
  }
  return { lowest, highest, samples: below.samples * FANOUT };
}
