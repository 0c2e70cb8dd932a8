import type { FeedEvent } from '@lettura/contract';
import { say } from '@lettura/core/measure/message';
import { expect, test } from 'vitest';
import type { LiveSource } from './liveSource.ts';
import { togetherSource } from './togetherSource.ts';

/** A source that says what the test lets it. */
function played(name: string, channels: number) {
  let told: ((event: FeedEvent) => void) | undefined;
  const source: LiveSource = {
    id: name,
    name,
    channels: Array.from({ length: channels }, (_, i) => ({ name: `${i + 1}`, unit: 'V' })),
    follow(tell) {
      told = tell;
      return () => (told = undefined);
    },
  };
  let number = 0;
  const say = (nowMs: number, rows: readonly (readonly [atMs: number, ...values: (number | null)[]])[]) =>
    told?.({
      status: { state: 'live' },
      samples: rows.map(([atMs, ...values]) => ({ number: ++number, atMs, values })),
      missed: 0,
      nowMs,
    });
  return { source, say, tell: (event: FeedEvent) => told?.(event), isFollowed: () => told !== undefined };
}

function together() {
  const [meter, unit] = [played('Meter', 2), played('Unit', 3)];
  const source = togetherSource('all', 'Both', { source: meter.source, channels: [0, 1] }, [
    { source: unit.source, channels: [2] },
  ]);
  const events: FeedEvent[] = [];
  const stop = source.follow((event) => events.push(event));
  const rows = () => events.flatMap(({ samples }) => samples.map(({ atMs, values }) => [atMs, ...values]));
  return { meter, unit, source, events, stop, rows };
}

test('a row waits until the others have said what they stood at by then', () => {
  const { meter, unit, rows, events } = together();
  unit.say(1000, [[990, 0, 0, 30]]);
  meter.say(1050, [
    [1000, 1, 2],
    [1040, 1.1, 2.1],
  ]);
  expect(rows()).toEqual([[1000, 1, 2, 30]]);
  // What arrives later was said before 1040: it belongs to that row.
  unit.say(1100, [[1030, 0, 0, 35]]);
  expect(rows()).toEqual([
    [1000, 1, 2, 30],
    [1040, 1.1, 2.1, 35],
  ]);
  expect(events.flatMap(({ samples }) => samples.map(({ number }) => number))).toEqual([1, 2]);
});

test('an old value is not of the same moment, and a silent instrument holds nobody up for long', () => {
  const { meter, unit, rows, events } = together();
  unit.say(1000, [[1000, 0, 0, 30]]);
  unit.tell({
    status: { state: 'lost', message: say('feed.nobody-listens') },
    samples: [],
    missed: 0,
    nowMs: 1010,
  });
  meter.say(2000, [[1990, 1, 2]]);
  expect(rows()).toEqual([]);
  meter.say(4000, [[3990, 3, 4]]);
  expect(rows()).toEqual([
    [1990, 1, 2, 30],
    [3990, 3, 4, null],
  ]);
  expect(events.at(-1)!.status.message).toEqual(say('feed.nobody-listens'));
});

test('while the first is silent for hours, nothing piles up, and the newest of the others still stands beside it', () => {
  const { meter, unit, rows } = together();
  for (let at = 1000; at < 60_000; at += 100) unit.say(at, [[at, 0, 0, at]]);
  meter.say(59_950, [[59_900, 1, 2]]);
  unit.say(60_000, []);
  expect(rows()).toEqual([[59_900, 1, 2, 59_900]]);
});

test('its channels say whose they are, and whoever stops stops all', () => {
  const { meter, unit, source, stop } = together();
  expect(source.channels.map(({ name }) => name)).toEqual(['1 · Meter', '2 · Meter', '3 · Unit']);
  stop();
  expect(meter.isFollowed() || unit.isFollowed()).toBe(false);
});
