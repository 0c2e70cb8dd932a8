import { plain, say, type Message } from '@lettura/core/measure/message';

/** So long is counted before anything is said of it. */
const COUNTED_MS = 2000;
/** Below this share of what it is asked for, it is told. */
const SLOW_SHARE = 0.7;
/** Answers take the time where they fill so much of it; else whoever asks comes too late. */
const FILLS_SHARE = 0.6;

/** How fast a meter brings its samples, and what holds it up where it is slow: its answers, or whoever should ask. */
export class Pace {
  readonly #askedPerSecond: number;
  #sinceMs: number | undefined;
  #samples = 0;
  #answeringMs = 0;
  #remark: Message | undefined;

  constructor(askedPerSecond: number) {
    this.#askedPerSecond = askedPerSecond;
  }

  /** What was seen last; undefined while it keeps up. */
  get remark(): Message | undefined {
    return this.#remark;
  }

  /**
   * One more sample.
   *
   * @param askedAtMs and @param answeredAtMs by a clock that never goes back, in milliseconds
   */
  count(askedAtMs: number, answeredAtMs: number): void {
    this.#sinceMs ??= askedAtMs;
    this.#samples++;
    this.#answeringMs += answeredAtMs - askedAtMs;
    const countedMs = answeredAtMs - this.#sinceMs;
    if (countedMs < COUNTED_MS) return;
    const got = (1000 * this.#samples) / countedMs;
    this.#remark = got >= SLOW_SHARE * this.#askedPerSecond ? undefined : this.#told(got, countedMs);
    this.#sinceMs = answeredAtMs;
    this.#samples = this.#answeringMs = 0;
  }

  #told(got: number, countedMs: number): Message {
    const asked = plain(this.#askedPerSecond);
    const perSecond = plain(Math.round(got));
    const eachMs = this.#answeringMs / this.#samples;
    return this.#answeringMs >= FILLS_SHARE * countedMs
      ? say('feed.answers-slowly', { got: perSecond, asked, each: plain(Math.round(eachMs), 'ms') })
      : say('feed.asked-late', { got: perSecond, asked });
  }
}
