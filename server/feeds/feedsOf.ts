import type { Logger } from 'pino';
import type { Feed } from './feed.ts';
import { LiveDataFeed } from './liveDataFeed.ts';
import { MeterFeed } from './meterFeed.ts';
import { simulatedInstrument } from './simulatedInstrument.ts';
import { simulatedUnit } from './simulatedUnit.ts';

/** As fast as a technician's logger goes; a slower instrument is asked as fast as it answers. */
const SAMPLES_PER_SECOND = 200;

export interface FeedPlaces {
  /** host:port, `simulated` or `none`. */
  meter: string;
  liveData: string;
  /** Of the meter, as it numbers them. */
  meterChannels: readonly number[];
}

interface Address {
  host: string;
  port: number;
}

/** The feeds to follow; a stand-in is started beside where one is asked for. */
export async function feedsOf(
  { meter, liveData, meterChannels }: FeedPlaces,
  log: Logger,
): Promise<{ feeds: Feed[]; stop: () => Promise<void> }> {
  const standIns: { close: () => Promise<void> }[] = [];
  const feeds: Feed[] = [];
  const follow = async (
    where: string,
    standIn: () => Promise<{ port: number; close: () => Promise<void> }>,
    feed: (at: Address, simulated: boolean) => Feed,
  ) => {
    if (where === 'none') return;
    if (where === 'simulated') {
      const started = await standIn();
      standIns.push(started);
      feeds.push(feed({ host: '127.0.0.1', port: started.port }, true));
      return;
    }
    const [host = '', port = ''] = where.split(':');
    feeds.push(feed({ host, port: Number(port) }, false));
  };
  await follow(
    meter,
    simulatedInstrument,
    (at, simulated) =>
      new MeterFeed({ ...at, simulated, channels: meterChannels, samplesPerSecond: SAMPLES_PER_SECOND, log }),
  );
  await follow(liveData, simulatedUnit, (at, simulated) => new LiveDataFeed({ ...at, simulated, log }));
  return {
    feeds,
    stop: async () => {
      for (const feed of feeds) await feed.stop();
      for (const standIn of standIns) await standIn.close();
    },
  };
}
