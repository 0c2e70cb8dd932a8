import type { FeedInfo } from '@lettura/contract';
import { readFrame } from '@lettura/core/recording/file';
import type { Logger } from 'pino';
import type { Feed } from './feed.ts';
import { FeedBuffer } from './feedBuffer.ts';
import { followAgain, type Waits } from './followAgain.ts';
import { linesFrom } from './lineStream.ts';
import { liveDataInfo, StandingItems } from './standingItems.ts';

export interface LiveDataFeedOptions extends Waits {
  name?: string | undefined;
  /** A stand-in that shows invented values. */
  simulated?: boolean;
  host: string;
  port: number;
  quietMs?: number;
  log: Logger;
}

const QUIET_MS = 2000;
const KEPT_SAMPLES = 12_000;

/** Standard live data out of a stream of CAN frames in text; connects anew by itself. */
export class LiveDataFeed implements Feed {
  readonly buffer = new FeedBuffer(KEPT_SAMPLES);
  readonly #options: LiveDataFeedOptions;
  readonly #stopped = new AbortController();
  readonly #done: Promise<void>;
  readonly #standing = new StandingItems();

  constructor(options: LiveDataFeedOptions) {
    this.#options = options;
    this.#done = this.#run();
  }

  get info(): FeedInfo {
    return liveDataInfo(this.buffer.status, this.#options);
  }

  async stop(): Promise<void> {
    this.#stopped.abort();
    await this.#done;
  }

  #run(): Promise<void> {
    const { host, port, quietMs = QUIET_MS, log, ...waits } = this.#options;
    const { signal } = this.#stopped;
    return followAgain(
      async (works) => {
        for await (const line of linesFrom(host, port, { quietMs, signal })) {
          this.#take(line);
          works();
        }
      },
      (message) => {
        log.warn({ feed: 'live-data', message }, 'The live data is away.');
        this.buffer.setStatus({ state: 'lost', message });
        this.#standing.forget();
      },
      { ...waits, signal },
    );
  }

  #take(line: string): void {
    const read = readFrame(line.trim());
    if (typeof read === 'string') return;
    this.buffer.push({ atMs: Date.now(), values: this.#standing.with(read.item, read.value) });
    this.buffer.setStatus({ state: 'live', instrument: 'Control unit' });
  }
}
