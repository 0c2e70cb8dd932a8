import type { FeedSample } from '@lettura/contract';

/** The newest samples of a source, in rings of a fixed size: it runs for hours in the same memory. */
export class LiveBuffer {
  readonly capacity: number;
  readonly #atMs: Float64Array;
  readonly #values: Float64Array[];
  #pushed = 0;

  constructor(channels: number, capacity: number) {
    this.capacity = capacity;
    this.#atMs = new Float64Array(capacity);
    this.#values = Array.from({ length: channels }, () => new Float64Array(capacity));
  }

  push(samples: readonly FeedSample[]): void {
    for (const { atMs, values } of samples) {
      const at = this.#pushed++ % this.capacity;
      this.#atMs[at] = atMs;
      this.#values.forEach((ring, channel) => (ring[at] = values[channel] ?? NaN));
    }
  }

  get length(): number {
    return Math.min(this.#pushed, this.capacity);
  }

  get newestMs(): number | undefined {
    return this.#pushed === 0 ? undefined : this.#atMs[(this.#pushed - 1) % this.capacity];
  }

  /** Of a channel; NaN where it was over its range, undefined before the first sample. */
  newest(channel: number): number | undefined {
    return this.#pushed === 0 ? undefined : this.#values[channel]?.[(this.#pushed - 1) % this.capacity];
  }

  /** Visits what is kept since a moment, oldest first. */
  each(channel: number, sinceMs: number, visit: (atMs: number, value: number) => void): void {
    const ring = this.#values[channel];
    if (!ring) return;
    for (let back = this.#backTo(sinceMs); back > 0; back--) {
      const at = (this.#pushed - back) % this.capacity;
      visit(this.#atMs[at]!, ring[at]!);
    }
  }

  /** Visits two channels together. */
  eachPair(a: number, b: number, sinceMs: number, visit: (a: number, b: number) => void): void {
    const [ringA, ringB] = [this.#values[a], this.#values[b]];
    if (!ringA || !ringB) return;
    for (let back = this.#backTo(sinceMs); back > 0; back--) {
      const at = (this.#pushed - back) % this.capacity;
      visit(ringA[at]!, ringB[at]!);
    }
  }

  /** How many of the newest are no older than a moment: they are in the order of their time. */
  #backTo(sinceMs: number): number {
    let [low, high] = [0, this.length];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (this.#atMs[(this.#pushed - middle) % this.capacity]! >= sinceMs) low = middle;
      else high = middle - 1;
    }
    return low;
  }
}
