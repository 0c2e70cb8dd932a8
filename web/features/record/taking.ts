import type { FeedSample } from '@lettura/contract';
import type { Recording, SweepMark } from '@lettura/core/recording/sweep';
import { recordingOf, rowsOf, type CaptureInfo } from '../live/index.ts';

/** Two hours at two hundred samples a second. */
export const MOST_SAMPLES = 1_500_000;
const MOST_MARKS = 200;

/** What a capture is called and what is noted with it. */
export type CaptureWords = Pick<CaptureInfo, 'name' | 'note'>;

/** A recording while it is taken: what has come, what was marked, and what is to go to the disk next. */
export class Taking {
  info: CaptureInfo;
  readonly #pieces: Float64Array[] = [];
  #pending: FeedSample[] = [];
  #samples = 0;
  #firstMs: number | undefined;
  #newestMs: number | undefined;

  constructor(info: CaptureInfo) {
    this.info = info;
  }

  get samples(): number {
    return this.#samples;
  }

  get firstMs(): number | undefined {
    return this.#firstMs;
  }

  /** False once it is as long as a recording gets: the rest is not taken. */
  take(samples: readonly FeedSample[], missed: number): boolean {
    this.info.missed += missed;
    const taken = samples.slice(0, MOST_SAMPLES - this.#samples);
    this.#firstMs ??= taken[0]?.atMs;
    this.#newestMs = taken.at(-1)?.atMs ?? this.#newestMs;
    this.#samples += taken.length;
    this.#pending.push(...taken);
    return taken.length === samples.length;
  }

  /** Marks the newest sample; nothing to mark is no mark. */
  mark(words: string, expectedVolts: SweepMark['expectedVolts']): void {
    const { marks } = this.info;
    if (this.#firstMs === undefined || this.#newestMs === undefined || marks.length >= MOST_MARKS) return;
    const atSeconds = (this.#newestMs - this.#firstMs) / 1000;
    this.info.marks = [...marks, { atSeconds, words, ...(expectedVolts ? { expectedVolts } : {}) }];
  }

  /** What it is called and what is noted with it, as the page has it now. */
  say(words: CaptureWords): void {
    Object.assign(this.info, words);
  }

  /** For good: what the clock put on its way to the disk just before must not say that it still goes on. */
  end(): void {
    this.info.ended = true;
  }

  /** What has come since the last one, with its number; undefined where nothing has. */
  nextPiece(): { number: number; rows: Float64Array } | undefined {
    if (this.#pending.length === 0) return undefined;
    const rows = rowsOf(this.#pending, this.info.channels.length);
    this.#pending = [];
    return { number: this.#pieces.push(rows), rows };
  }

  recording(): Recording {
    return recordingOf(this.#pieces, this.info.channels);
  }
}
