import { randomBytes } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import type { FeedSample, FeedStatus } from '@lettura/contract';
import { Attention } from './attention.ts';

/** Samples of a feed since it began, the last of them kept: a browser that dropped out asks for what it missed. */
export class FeedBuffer {
  /** Of this run: a number from before a restart of the server means nothing in it. */
  readonly run = randomBytes(6).toString('hex');
  /** Of whoever follows it. */
  readonly attention = new Attention();
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
    if (status.state === this.#status.state && isDeepStrictEqual(status.message, this.#status.message))
      return;
    this.#status = status;
    this.#wake();
  }

  /** Everything after a number that is still kept; `missed` says how many are not. */
  after(number: number): { samples: FeedSample[]; missed: number } {
    const oldest = this.#ring[0]?.number ?? this.#next;
    return {
      samples: this.#ring.slice(Math.max(0, number + 1 - oldest)),
      missed: Math.max(0, oldest - number - 1),
    };
  }

  /** How far somebody got who has seen a mark; with one of another run they have seen nothing of this. */
  seenBy(mark: string | undefined): number {
    if (mark === undefined) return this.newest;
    const [run, number = ''] = mark.split(':');
    return run === this.run && /^\d{1,15}$/u.test(number) ? Math.min(Number(number), this.newest) : 0;
  }

  /** For who is given everything up to a number. */
  markAt(number: number): string {
    return `${this.run}:${number}`;
  }

  /** The newest number: where somebody begins who has seen nothing. */
  get newest(): number {
    return this.#next - 1;
  }

  /** Resolves when there is something new, after a time at the latest, or when the signal gives up. */
  news(signal: AbortSignal, withinMs: number): Promise<void> {
    return new Promise((resolve) => {
      const done = () => {
        clearTimeout(timer);
        signal.removeEventListener('abort', done);
        this.#waiting.delete(done);
        resolve();
      };
      const timer = setTimeout(done, withinMs);
      this.#waiting.add(done);
      signal.addEventListener('abort', done, { once: true });
    });
  }

  #wake(): void {
    for (const done of [...this.#waiting]) done();
  }
}
