/** Numbers from one seed, in the order they are asked for. */
export class Draw {
  #state: number;
  constructor(seed: number) {
    // The first numbers of neighbouring seeds are alike: they are not used.
    this.#state = (Math.abs(Math.floor(seed)) % 2147483646) + 1;
    for (let i = 0; i < 8; i++) this.share();
  }
  share(): number {
    this.#state = (this.#state * 48271) % 2147483647;
    return this.#state / 2147483647;
  }
  between(low: number, high: number): number {
    return low + (high - low) * this.share();
  }
  /** Evenly over decades. */
  decades(low: number, high: number): number {
    return low * (high / low) ** this.share();
  }
  happens(share: number): boolean {
    return this.share() < share;
  }
  of<T>(all: readonly T[]): T {
    return all[Math.floor(this.share() * all.length)]!;
  }
  /** One of several, by how common each is. */
  weighted<T>(all: readonly (readonly [weight: number, one: T])[]): T {
    let at = this.share() * all.reduce((sum, [weight]) => sum + weight, 0);
    for (const [weight, one] of all) if ((at -= weight) < 0) return one;
    return all.at(-1)![1];
  }
  /** About a middle, as many small causes make it. */
  about(middle: number, sigma: number): number {
    let sum = 0;
    for (let i = 0; i < 12; i++) sum += this.share();
    return middle + sigma * (sum - 6);
  }
}
