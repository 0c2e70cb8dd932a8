import { say } from '@lettura/core/measure/message';
import type { LiveSource } from './liveSource.ts';

const EVERY_MS = 40;

/** One sample of a source that is worked out here. */
export interface PacedSample {
  /** Since the source was started. */
  seconds: number;
  values: (number | null)[];
}

/**
 * A source whose samples are worked out in this browser as their time comes.
 *
 * @param begin gives, anew for every follower, all samples up to a moment that were not given yet; undefined at the end
 */
export const pacedSource = (
  source: Omit<LiveSource, 'follow'>,
  begin: () => (untilSeconds: number) => PacedSample[] | undefined,
): LiveSource => ({
  ...source,
  follow(tell) {
    const samplesUntil = begin();
    const startMs = Date.now();
    let number = 0;
    let ended = false;
    const timer = setInterval(() => {
      const nowMs = Date.now();
      const samples = ended ? undefined : samplesUntil((nowMs - startMs) / 1000);
      if (!samples) ended = true;
      tell({
        status: ended
          ? { state: 'lost', message: say('feed.replay-over') }
          : { state: 'live', instrument: source.name },
        samples: (samples ?? []).map(({ seconds, values }) => ({
          number: ++number,
          atMs: startMs + 1000 * seconds,
          values,
        })),
        missed: 0,
        nowMs,
      });
    }, EVERY_MS);
    return () => clearInterval(timer);
  },
});
