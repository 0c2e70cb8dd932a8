import type { FeedEvent } from '@lettura/contract';
import { say, type Message } from '@lettura/core/measure/message';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { pacedSource } from './pacedSource.ts';
import { replaySource } from './replaySource.ts';
import { sourceInWords } from './sourceInWords.ts';

beforeEach(() => void vi.useFakeTimers({ now: 1_000_000 }));
afterEach(() => void vi.useRealTimers());

const followed = (source: ReturnType<typeof pacedSource>) => {
  const events: FeedEvent[] = [];
  const stop = source.follow((event) => events.push(event));
  return { events, stop, samples: () => events.flatMap(({ samples }) => samples) };
};
const about = { id: 'x', name: 'Logger', channels: [{ name: 'A', unit: 'V' }] };

test('samples are told once, in order, at their own moment; nothing after it was stopped', () => {
  const source = pacedSource(about, () => {
    let given = 0;
    return (until) => {
      const from = given;
      given = Math.floor(until / 0.01);
      return Array.from({ length: given - from }, (_, i) => ({
        seconds: (from + i) * 0.01,
        values: [from + i],
      }));
    };
  });
  const { stop, samples, events } = followed(source);
  vi.advanceTimersByTime(1000);
  const told = samples();
  expect(told.map(({ number }) => number)).toEqual(told.map((_, i) => i + 1));
  expect(told.map(({ values: [value] }) => value)).toEqual(told.map((_, i) => i));
  expect(told.at(-1)!.atMs).toBeCloseTo(1_000_000 + 10 * (told.length - 1), 6);
  expect(told.length).toBeGreaterThan(95);
  expect(events[0]!.status).toEqual({ state: 'live', instrument: 'Logger' });
  stop();
  const before = events.length;
  vi.advanceTimersByTime(1000);
  expect(events).toHaveLength(before);
});

const RECORDING = {
  seconds: Float64Array.of(0, 0.1, 0.2, 2.5, 2.6),
  channels: [
    { name: 'Track 1', unit: 'V', values: Float64Array.of(1, 1.1, NaN, 2, 2.1) },
    { name: 'Track 2', unit: 'V', values: Float64Array.of(0.5, 0.55, 0.6, 1, 1.05) },
  ],
};

test('a recording is played again at its own pace, gaps and all, and says when it is over', () => {
  const source = replaySource({
    id: 'r',
    name: 'Slow travel',
    recording: RECORDING,
    uses: ['signal', 'other'],
  });
  expect(source).toMatchObject({ id: 'replay r', name: 'Slow travel', uses: ['signal', 'other'] });
  const { events, samples } = followed(source);
  vi.advanceTimersByTime(1000);
  expect(samples().map(({ values }) => values)).toEqual([
    [1, 0.5],
    [1.1, 0.55],
    [null, 0.6],
  ]);
  expect(events.at(-1)!.status.state).toBe('live');
  vi.advanceTimersByTime(2000);
  expect(samples()).toHaveLength(5);
  expect(events.at(-1)!.status).toMatchObject({ state: 'lost', message: say('feed.replay-over') });
  // Who follows it anew hears it from the beginning.
  const again = followed(source);
  vi.advanceTimersByTime(300);
  expect(again.samples()[0]!.values).toEqual([1, 0.5]);
});

test('a source says what it does, and how old its last value is', () => {
  const shown = (fresh: boolean, state: 'connecting' | 'live' | 'lost', ageMs?: number, message?: Message) =>
    sourceInWords({ fresh, status: { state, ...(message ? { message } : {}) }, ageMs });
  expect(shown(true, 'live', 20)).toBe('Live');
  expect(shown(true, 'live', 20, say('feed.over-range', { channel: 2 }))).toBe(
    'Live: channel 2 is over its range',
  );
  expect(shown(false, 'connecting')).toBe('Connecting …');
  expect(shown(false, 'lost', 3400, say('feed.connection-closed'))).toBe(
    'Nothing arrives, last value 3 s old: the connection was closed',
  );
});
