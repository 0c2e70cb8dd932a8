import type { Logger } from 'pino';
import { MeterFeed } from './meterFeed.ts';
import { simulatedInstrument } from './simulatedInstrument.ts';

const CHANNELS = [1, 2];
const SAMPLES_PER_SECOND = 20;

/** The meter to follow: none, a real one at host:port, or the stand-in, which is started beside. */
export async function meterOf(
  where: string,
  log: Logger,
): Promise<{ feed: MeterFeed; stop: () => Promise<void> } | undefined> {
  if (where === 'none') return undefined;
  const simulated = where === 'simulated' ? await simulatedInstrument() : undefined;
  const [host = '127.0.0.1', port = ''] = simulated
    ? ['127.0.0.1', String(simulated.port)]
    : where.split(':');
  const feed = new MeterFeed({
    host,
    port: Number(port),
    channels: CHANNELS,
    samplesPerSecond: SAMPLES_PER_SECOND,
    log,
  });
  return {
    feed,
    stop: async () => {
      await feed.stop();
      await simulated?.close();
    },
  };
}
