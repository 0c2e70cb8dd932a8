import type { FeedEvent, FeedSample } from '@lettura/contract';
import type { LiveSource } from './liveSource.ts';

/** Some channels of a source. */
export interface Part {
  source: LiveSource;
  channels: readonly number[];
}

/** A value older than this is not of the same moment any more, in milliseconds. */
const STALE_MS = 2000;
/** Whoever has said nothing for so long is not waited for. */
const WAIT_MS = 1500;
/** No row is looked up that is older than this. */
const KEPT_MS = 10_000;

interface Followed {
  samples: FeedSample[];
  /** By the server's clock: everything up to here has been told. */
  untilMs: number;
  last: FeedEvent | undefined;
}

/**
 * Several instruments of one server as one, on its clock: a row for each sample of the first, with what the others stood at just then.
 * What they had not said yet is waited for, so that none seems to lag only because its news comes later.
 */
export function togetherSource(id: string, name: string, leader: Part, others: readonly Part[]): LiveSource {
  const parts = [leader, ...others];
  return {
    id,
    name,
    simulated: parts.some(({ source }) => source.simulated),
    channels: parts.flatMap(({ source, channels }) =>
      channels.map((channel) => ({
        name: `${source.channels[channel]?.name ?? ''} · ${source.name}`,
        unit: source.channels[channel]?.unit ?? '',
      })),
    ),
    follow(tell) {
      const waiting: FeedSample[] = [];
      const rest: Followed[] = others.map(() => ({ samples: [], untilMs: 0, last: undefined }));
      let number = 0;
      let missed = 0;
      let first: FeedEvent | undefined;
      const pass = () => {
        if (!first) return;
        const { nowMs, status } = first;
        const upToMs = Math.min(
          ...rest.map(({ untilMs }) => (nowMs - untilMs > WAIT_MS ? Infinity : untilMs)),
          Infinity,
        );
        const samples: FeedSample[] = [];
        while (waiting[0] && waiting[0].atMs <= upToMs) {
          const { atMs, values } = waiting.shift()!;
          samples.push({
            number: ++number,
            atMs,
            values: [
              ...leader.channels.map((channel) => values[channel] ?? null),
              ...others.flatMap(({ channels }, k) => standingAt(rest[k]!, atMs, channels)),
            ],
          });
        }
        const away = rest.find(({ last }) => last?.status.state === 'lost')?.last?.status.message;
        const message = status.message ?? away;
        tell({ status: { ...status, ...(message ? { message } : {}) }, samples, missed, nowMs });
        missed = 0;
      };
      const stops = parts.map(({ source }, k) =>
        source.follow((event) => {
          if (k === 0) {
            first = event;
            missed += event.missed;
            waiting.push(...event.samples);
          } else {
            const one = rest[k - 1]!;
            one.last = event;
            one.untilMs = event.nowMs;
            one.samples.push(...event.samples);
            // Where the first says nothing for hours, only what a row of now could still need is kept.
            while (one.samples[1] && one.samples[1].atMs < one.untilMs - KEPT_MS) one.samples.shift();
          }
          pass();
        }),
      );
      return () => stops.forEach((stop) => stop());
    },
  };
}

/** The newest that was said at a moment, and is not stale by then; what is older is let go. */
function standingAt({ samples }: Followed, atMs: number, channels: readonly number[]): (number | null)[] {
  while (samples[1] && samples[1].atMs <= atMs) samples.shift();
  const [newest] = samples;
  const holds = newest && newest.atMs <= atMs && atMs - newest.atMs <= STALE_MS;
  return channels.map((channel) => (holds ? (newest.values[channel] ?? null) : null));
}
