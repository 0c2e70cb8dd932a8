import type { FeedSample, FeedStatus } from '@lettura/contract';
import { useEffect, useRef, useState } from 'react';
import { LiveBuffer } from './liveBuffer.ts';
import type { LiveSource } from './liveSource.ts';

/** Older than this a value is not shown as if it were now. */
export const FRESH_MS = 1000;
/** Two minutes at two hundred samples a second. */
const KEPT_SAMPLES = 24_000;
/** Digits that change faster than this cannot be read. */
const SHOW_MS = 100;

export interface LiveView {
  status: FeedStatus;
  buffer: LiveBuffer;
  /** Of the newest sample, by the clock of the source; undefined before the first. */
  ageMs: number | undefined;
  fresh: boolean;
  /** The clock of the source less this browser's. */
  aheadMs: number;
  /** Samples that were lost on the way since it is followed. */
  missed: number;
}

interface Seen {
  status: FeedStatus;
  aheadMs: number;
  missed: number;
}

const NOTHING: Seen = { status: { state: 'connecting' }, aheadMs: 0, missed: 0 };

/**
 * Follows a source. Every sample is kept and handed on, also those that no screen has time to draw; the view is renewed a
 * few times a second. A new source needs a new component: give it a key.
 */
export function useSource(
  source: LiveSource,
  onSamples?: (samples: readonly FeedSample[], missed: number) => void,
): LiveView {
  const [buffer] = useState(() => new LiveBuffer(source.channels.length, KEPT_SAMPLES));
  const latest = useRef(NOTHING);
  const [shown, setShown] = useState(() => ({ ...NOTHING, nowMs: Date.now() }));
  const hand = useRef(onSamples);
  const followed = useRef(source);
  useEffect(() => {
    hand.current = onSamples;
    followed.current = source;
  });
  const { id } = source;
  useEffect(() => {
    const stop = followed.current.follow(({ status, samples, missed, nowMs }) => {
      const before = latest.current;
      latest.current = { status, aheadMs: nowMs - Date.now(), missed: before.missed + missed };
      buffer.push(samples);
      if (samples.length > 0 || missed > 0) hand.current?.(samples, missed);
    });
    const clock = setInterval(() => setShown({ ...latest.current, nowMs: Date.now() }), SHOW_MS);
    return () => {
      stop();
      clearInterval(clock);
    };
  }, [id, buffer]);
  const { newestMs } = buffer;
  const { status, aheadMs, missed, nowMs } = shown;
  const ageMs = newestMs === undefined ? undefined : Math.max(0, nowMs + aheadMs - newestMs);
  return {
    status,
    buffer,
    ageMs,
    fresh: status.state === 'live' && ageMs !== undefined && ageMs < FRESH_MS,
    aheadMs,
    missed,
  };
}
