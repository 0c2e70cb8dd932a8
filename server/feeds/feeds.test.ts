import { createServer } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import express from 'express';
import { pino } from 'pino';
import { plain, say, verbatim } from '@lettura/core/measure/message';
import { feedEvent, type FeedEvent } from '@lettura/contract';
import { afterEach, expect, test, vi } from 'vitest';
import { FeedBuffer } from './feedBuffer.ts';
import { LiveDataFeed } from './liveDataFeed.ts';
import { MeterFeed } from './meterFeed.ts';
import { parseScpiError, parseScpiNumber } from './parseScpi.ts';
import { ScpiSession } from './scpiSession.ts';
import { simulatedInstrument, type SimulatedInstrument } from './simulatedInstrument.ts';
import { simulatedUnit } from './simulatedUnit.ts';
import { streamFeed } from './streamFeed.ts';

const log = pino({ level: 'silent' });
const open: (() => Promise<unknown>)[] = [];
afterEach(async () => {
  for (const close of open.splice(0).reverse()) await close();
});
async function followed(over: object = {}): Promise<{ instrument: SimulatedInstrument; feed: MeterFeed }> {
  const instrument = await simulatedInstrument();
  open.push(() => instrument.close());
  const feed = new MeterFeed({
    host: '127.0.0.1',
    port: instrument.port,
    channels: [1, 2],
    samplesPerSecond: 100,
    timeoutMs: 200,
    firstWaitMs: 20,
    longestWaitMs: 50,
    log,
    ...over,
  });
  open.push(() => feed.stop());
  return { instrument, feed };
}
/** However long a busy machine takes: what never happens fails all the same. */
const eventually = (holds: () => void) => vi.waitFor(holds, { timeout: 30_000 });
const live = (feed: MeterFeed) => eventually(() => expect(feed.buffer.status.state).toBe('live'));
const lost = (feed: MeterFeed) => eventually(() => expect(feed.buffer.status.state).toBe('lost'));
const newest = (feed: MeterFeed) => feed.buffer.after(feed.buffer.newest - 1).samples[0]?.values;

test('a meter is followed: its name, both channels, numbers that count up without a gap', async () => {
  const { feed } = await followed();
  await live(feed);
  expect(feed.buffer.status.instrument).toBe('Saltmere Workshop Simulated logger');
  await eventually(() => expect(feed.buffer.newest).toBeGreaterThan(30));
  const { samples, missed } = feed.buffer.after(0);
  expect(missed).toBe(0);
  samples.forEach(({ number, values }, i) => {
    expect(number).toBe(i + 1);
    expect(values[1]! / values[0]!).toBeCloseTo(0.5, 1);
  });
});

test('a silent instrument is given up after its time, and followed again by itself once it answers', async () => {
  const { instrument, feed } = await followed();
  await live(feed);
  instrument.setMood('silent');
  await lost(feed);
  expect(feed.buffer.status.message).toMatchObject({
    code: 'feed.no-answer',
    values: { within: plain(200, 'ms') },
  });
  instrument.setMood('well');
  await live(feed);
});

test('a cut connection comes back by itself', async () => {
  const { instrument, feed } = await followed();
  await live(feed);
  const before = feed.buffer.newest;
  instrument.cut();
  await eventually(() => expect(instrument.connections()).toBeGreaterThan(1));
  await live(feed);
  await eventually(() => expect(feed.buffer.newest).toBeGreaterThan(before + 5));
});

test('garbage, over-range and the error queue are remarks and gaps, never numbers', async () => {
  const { instrument, feed } = await followed();
  await live(feed);
  instrument.setMood('over-range');
  await eventually(() => expect(feed.buffer.status.message?.code).toBe('feed.over-range'));
  expect(newest(feed)).toEqual([null, null]);
  instrument.setMood('garbage');
  await eventually(() => expect(feed.buffer.status.message?.code).toBe('feed.no-number'));
  instrument.setMood('error-queue');
  await eventually(() =>
    expect(feed.buffer.status.message).toEqual(
      say('feed.device-says', { text: verbatim('Data out of range (-222)') }),
    ),
  );
  instrument.setMood('well');
  await eventually(() => expect(feed.buffer.status.message).toBeUndefined());
  await eventually(() => expect(newest(feed)?.[0]).toBeGreaterThan(0.9));
});

test('a meter that answers slowly is told with how much it brings of what it is asked for', async () => {
  const { instrument, feed } = await followed();
  await live(feed);
  instrument.setMood('slow');
  await eventually(() => expect(feed.buffer.status.message?.code).toBe('feed.answers-slowly'));
  expect(feed.buffer.status.message).toMatchObject({ values: { asked: plain(100) } });
});

test('a line without an end fills no memory: the session is given up', async () => {
  const { instrument, feed } = await followed();
  await live(feed);
  instrument.setMood('endless-line');
  await eventually(() => expect(feed.buffer.status.message?.code).toBe('feed.line-without-end'));
});

test('nothing at the address is told, and stopping does not wait for it', async () => {
  const tenMinutesMs = 600_000;
  const { feed } = await followed({ port: 1, firstWaitMs: tenMinutesMs, longestWaitMs: tenMinutesMs });
  await lost(feed);
  expect(feed.buffer.status.message).toEqual(say('feed.nobody-listens'));
  await feed.stop();
});

test('the live data of a unit is followed out of its frames, given up when it falls silent, and found again', async () => {
  const unit = await simulatedUnit();
  open.push(() => unit.close());
  const feed = new LiveDataFeed({
    host: '127.0.0.1',
    port: unit.port,
    quietMs: 400,
    firstWaitMs: 20,
    longestWaitMs: 50,
    log,
  });
  open.push(() => feed.stop());
  const values = () =>
    Object.fromEntries(
      feed.info.channels.map(({ name }, i) => [
        name,
        feed.buffer.after(feed.buffer.newest - 1).samples[0]?.values[i],
      ]),
    );
  await eventually(() => {
    expect(values()['Barometric pressure']).toBe(101);
    expect(values()['Manifold pressure']).toBeGreaterThan(30);
    expect(values()['Manifold pressure']).toBeLessThan(38);
    expect(values()['Rail pressure']).toBeNull();
  });
  unit.fallSilent(true);
  await eventually(() =>
    expect(feed.buffer.status).toMatchObject({
      state: 'lost',
      message: say('feed.nothing-came', { within: plain(400, 'ms') }),
    }),
  );
  unit.fallSilent(false);
  await eventually(() => expect(feed.buffer.status.state).toBe('live'));
  // It may be found again before anybody looks: all that was said counts.
  const said = vi.spyOn(feed.buffer, 'setStatus');
  unit.cut();
  await eventually(() =>
    expect(said.mock.calls.map(([{ message }]) => message)).toContainEqual(say('feed.connection-closed')),
  );
  await eventually(() => expect(feed.buffer.status.state).toBe('live'));
});

test('one question at a time; after a failure every further one is refused', async () => {
  const instrument = await simulatedInstrument();
  open.push(() => instrument.close());
  const session = await ScpiSession.open('127.0.0.1', instrument.port, 300);
  const first = session.ask('*IDN?');
  await expect(session.ask('*OPC?')).rejects.toThrow('A question is still open.');
  expect(await first).toContain('Saltmere');
  session.close();
  await expect(session.ask('*IDN?')).rejects.toMatchObject({ said: { code: 'feed.connection-closed' } });
});

test.each([
  ['+4.980000E+00', { kind: 'value', value: 4.98 }],
  ['9.9E+37', { kind: 'over-range' }],
  ['-9.9E37', { kind: 'over-range' }],
  ['9.91E37', { kind: 'garbage' }],
  ['', { kind: 'garbage' }],
  ['5 V', { kind: 'garbage' }],
])('the answer “%s” is read as %o', (text, value) => {
  expect(parseScpiNumber(text)).toEqual(value);
});

test('an empty error queue is none', () => {
  expect(parseScpiError('0,"No error"')).toBeUndefined();
  expect(parseScpiError('-113,"Undefined header"')).toBe('Undefined header (-113)');
});

/** A server with one feed, and a browser's view of its stream. */
async function stream(buffer: FeedBuffer) {
  const stopping = new AbortController();
  const app = express();
  app.get('/stream', (req, res) => streamFeed(buffer, req, res, stopping.signal));
  const server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  open.push(() => new Promise((resolve) => server.close(resolve)));
  const { port } = server.address() as AddressInfo;
  const events = async (lastEventId: string | undefined, enough: (events: FeedEvent[]) => boolean) => {
    const gone = new AbortController();
    const response = await fetch(`http://127.0.0.1:${port}/stream`, {
      headers: lastEventId === undefined ? {} : { 'last-event-id': lastEventId },
      signal: gone.signal,
    });
    const seen: FeedEvent[] = [];
    let text = '';
    for await (const piece of response.body!.pipeThrough(new TextDecoderStream())) {
      text += piece;
      const parts = text.split('\n\n');
      text = parts.pop() ?? '';
      for (const part of parts) {
        const data = /^data: (.*)$/mu.exec(part)?.[1];
        if (data) seen.push(feedEvent.parse(JSON.parse(data)));
      }
      if (enough(seen)) break;
    }
    gone.abort();
    return seen;
  };
  return { port, stopping, events };
}
const numbers = (events: FeedEvent[]) => events.flatMap(({ samples }) => samples.map(({ number }) => number));
const fill = (buffer: FeedBuffer, count: number) => {
  for (let i = 0; i < count; i++) buffer.push({ atMs: 0, values: [1] });
};

test('a browser that dropped out goes on where it was, and is told what is lost for good', async () => {
  const buffer = new FeedBuffer(100);
  const { events } = await stream(buffer);
  fill(buffer, 20);
  expect(numbers(await events(buffer.markAt(15), (seen) => seen.length > 0))).toEqual([16, 17, 18, 19, 20]);
  fill(buffer, 200);
  const late = await events(buffer.markAt(20), (seen) => seen.length > 0);
  expect(late[0]).toMatchObject({ missed: 100 });
  expect(numbers(late)).toHaveLength(100);
});

test('after a restart of the server a browser is given all that this run has, whatever number it had before', async () => {
  const buffer = new FeedBuffer(100);
  const { events } = await stream(buffer);
  fill(buffer, 3);
  const before = new FeedBuffer(100);
  for (const mark of [before.markAt(2), before.markAt(9999), 'nonsense', `${buffer.run}:-1`])
    expect(numbers(await events(mark, (seen) => seen.length > 0))).toEqual([1, 2, 3]);
  expect(numbers(await events(buffer.markAt(9999), (seen) => seen.length > 0))).toEqual([]);
});

test('a feed that stalls still says so, again and again', async () => {
  const { events } = await stream(new FeedBuffer(10));
  expect(
    (await events(undefined, (seen) => seen.length >= 3)).every(({ samples }) => samples.length === 0),
  ).toBe(true);
});

test('who does not read is not queued for: the server holds one event for it at most', async () => {
  const buffer = new FeedBuffer(1000);
  const { port, stopping } = await stream(buffer);
  const deaf = connect(port, '127.0.0.1');
  deaf.write('GET /stream HTTP/1.1\r\nHost: x\r\n\r\n');
  deaf.pause();
  const before = process.memoryUsage().heapUsed;
  for (let round = 0; round < 40; round++) {
    fill(buffer, 1000);
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  expect(process.memoryUsage().heapUsed - before).toBeLessThan(30e6);
  stopping.abort();
  deaf.destroy();
});
