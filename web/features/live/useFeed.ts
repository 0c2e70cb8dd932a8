import { feedEvent, type FeedId, type FeedSample, type FeedStatus } from '@lettura/contract';
import { useEffect, useRef, useState } from 'react';

/** Older than this a value is not shown as if it were now. */
export const FRESH_MS = 1000;
const SHOWN_MS = 30_000;
const CLOCK_MS = 250;

export interface LiveFeed {
  status: FeedStatus;
  /** Of the last half minute, oldest first. */
  samples: readonly FeedSample[];
  /** Of the newest sample, by the server's clock; undefined before the first. */
  ageMs: number | undefined;
  fresh: boolean;
}

interface Seen {
  status: FeedStatus;
  samples: readonly FeedSample[];
  /** The server's clock less this browser's. */
  aheadMs: number;
}

/**
 * A feed's stream: it connects again by itself and goes on where it was. Every sample is handed on, also those that no
 * screen has time to draw.
 */
export function useFeed(id: FeedId, onSamples?: (samples: readonly FeedSample[]) => void): LiveFeed {
  const [seen, setSeen] = useState<Seen>({ status: { state: 'connecting' }, samples: [], aheadMs: 0 });
  const [now, setNow] = useState(() => Date.now());
  const hand = useRef(onSamples);
  useEffect(() => {
    hand.current = onSamples;
  });
  useEffect(() => {
    const stream = new EventSource(`/api/feeds/${id}/stream`);
    stream.addEventListener('message', ({ data }: MessageEvent<string>) => {
      const event = feedEvent.safeParse(JSON.parse(data));
      if (!event.success) return;
      const { status, samples, nowMs } = event.data;
      setNow(Date.now());
      setSeen((before) => ({
        status,
        samples: kept([...before.samples, ...samples]),
        aheadMs: nowMs - Date.now(),
      }));
      if (samples.length > 0) hand.current?.(samples);
    });
    const clock = setInterval(() => setNow(Date.now()), CLOCK_MS);
    return () => {
      stream.close();
      clearInterval(clock);
    };
  }, [id]);
  const newest = seen.samples.at(-1);
  const ageMs = newest && Math.max(0, now + seen.aheadMs - newest.atMs);
  return {
    status: seen.status,
    samples: seen.samples,
    ageMs,
    fresh: seen.status.state === 'live' && ageMs !== undefined && ageMs < FRESH_MS,
  };
}

function kept(samples: readonly FeedSample[]): readonly FeedSample[] {
  const newest = samples.at(-1)?.atMs ?? 0;
  const from = samples.findIndex(({ atMs }) => atMs >= newest - SHOWN_MS);
  return from > 0 ? samples.slice(from) : samples;
}
