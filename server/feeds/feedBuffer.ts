import type { FeedSample, FeedStatus } from '@lettura/contract';

/** Samples of a feed since it began, the last of them kept: a browser that dropped out asks for what it missed. */
export class FeedBuffer {
  readonly #ring: FeedSample[] = [];
  readonly #capacity: number;
  #next = 1;
  #status: FeedStatus = { state: 'connecting' };
  readonly #waiting = new Set<() => void>();

  constructor(capacity: number) {
    this.#capacity = capacity;
  }

  get status(): FeedStatus {
    return this.#status;
  }

  push(sample: Omit<FeedSample, 'number'>): void {
    this.#ring.push({ ...sample, number: this.#next++ });
    if (this.#ring.length > this.#capacity) this.#ring.shift();
    this.#wake();
  }

  setStatus(status: FeedStatus): void {
    if (status.state === this.#status.state && status.message === this.#status.message) return;
    this.#status = status;
    this.#wake();
  }

  /** Everything after a number that is still kept; `missed` says how many are not. */
  after(number: number): { samples: FeedSample[]; missed: number } {
    const oldest = this.#ring[0]?.number ?? this.#next;
    // A number from before a restart of the server is ahead of all that there is: begin with the newest.
    const from = number >= this.#next ? this.#next - 1 : number;
    return {
      samples: this.#ring.slice(Math.max(0, from + 1 - oldest)),
      missed: Math.max(0, oldest - from - 1),
    };
  }

  /** The newest number: where somebody begins who has seen nothing. */
  get newest(): number {
    return this.#next - 1;
  }

  /** Resolves when there is something new, or when the signal gives up. */
  news(signal: AbortSignal): Promise<void> {
    return new Promise((resolve) => {
      const done = () => {
        signal.removeEventListener('abort', done);
        this.#waiting.delete(done);
        resolve();
      };
      this.#waiting.add(done);
      signal.addEventListener('abort', done, { once: true });
    });
  }

  #wake(): void {
    for (const done of [...this.#waiting]) done();
  }
}
