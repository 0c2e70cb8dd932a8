import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';
import type { AddressInfo } from 'node:net';
import { feedEvent } from '@lettura/contract';
import express from 'express';
import { pino } from 'pino';
import { MeterFeed } from '../../server/feeds/meterFeed.ts';
import { simulatedInstrument } from '../../server/feeds/simulatedInstrument.ts';
import { streamFeed } from '../../server/feeds/streamFeed.ts';

/** As long as a run of all figures can wait; ten minutes, `node --import tsx scripts/bench/feed.ts 600`, show what a shorter time does not. */
const SECONDS = 20;
const SAMPLES_PER_SECOND = 200;

/** Four channels at 200 samples a second, from an instrument over a socket through the server to a listener, on loopback. */
export async function feedFigures(seconds = SECONDS): Promise<{
  samples: number;
  lost: number;
  p95Ms: number;
  aSecond: number;
  /** Of this process, at a tenth of the time and at its end. */
  heapMegabytes: readonly [early: number, late: number];
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
  const end = Date.now() + seconds * 1000;
  const heapMegabytes: [number, number] = [NaN, NaN];
  const heap = () => {
    globalThis.gc?.();
    // What was measured is kept here, and not by the server.
    return (process.memoryUsage().heapUsed - 16 * numbers.length) / 2 ** 20;
  };
  setTimeout(() => (heapMegabytes[0] = heap()), seconds * 100);
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
  heapMegabytes[1] = heap();
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
    aSecond: numbers.length / seconds,
    heapMegabytes,
  };
}

if (process.argv[1] === fileURLToPath(import.meta.url))
  console.log(await feedFigures(Number(process.argv[2] ?? SECONDS)));
