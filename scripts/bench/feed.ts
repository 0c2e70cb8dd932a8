import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { feedEvent } from '@lettura/contract';
import express from 'express';
import { pino } from 'pino';
import { MeterFeed } from '../../server/feeds/meterFeed.ts';
import { simulatedInstrument } from '../../server/feeds/simulatedInstrument.ts';
import { streamFeed } from '../../server/feeds/streamFeed.ts';

const SECONDS = 20;
const SAMPLES_PER_SECOND = 200;

/** Four channels at 200 samples a second, from an instrument over a socket through the server to a listener, on loopback. */
export async function feedFigures(): Promise<{
  samples: number;
  lost: number;
  p95Ms: number;
  aSecond: number;
}> {
  const instrument = await simulatedInstrument();
  const feed = new MeterFeed({
    host: '127.0.0.1',
    port: instrument.port,
    channels: [1, 2, 3, 4],
    samplesPerSecond: SAMPLES_PER_SECOND,
    log: pino({ level: 'silent' }),
  });
  const stopping = new AbortController();
  const app = express();
  app.get('/stream', (req, res) => streamFeed(feed.buffer, req, res, stopping.signal));
  const server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const response = await fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}/stream`);
  const numbers: number[] = [];
  const latenciesMs: number[] = [];
  const end = Date.now() + SECONDS * 1000;
  let text = '';
  for await (const piece of response.body!.pipeThrough(new TextDecoderStream())) {
    text += piece;
    const parts = text.split('\n\n');
    text = parts.pop() ?? '';
    for (const part of parts) {
      const data = /^data: (.*)$/mu.exec(part)?.[1];
      if (!data) continue;
      const now = Date.now();
      for (const { number, atMs } of feedEvent.parse(JSON.parse(data)).samples) {
        numbers.push(number);
        latenciesMs.push(now - atMs);
      }
    }
    if (Date.now() > end) break;
  }
  stopping.abort();
  await feed.stop();
  await instrument.close();
  await new Promise((resolve) => server.close(resolve));
  const lost = numbers.at(-1)! - numbers[0]! + 1 - numbers.length;
  latenciesMs.sort((a, b) => a - b);
  return {
    samples: numbers.length,
    lost,
    p95Ms: latenciesMs[Math.floor(0.95 * latenciesMs.length)]!,
    aSecond: numbers.length / SECONDS,
  };
}
