import type { FeedId } from '@lettura/contract';
import type { Logger } from 'pino';
import type { Feed } from './feed.ts';
import { PROTOCOLS, STAND_IN_PROTOCOL, USUAL_PROTOCOL, type FeedPlace } from './protocols.ts';

export interface FeedPlaces {
  meter: FeedPlace;
  liveData: FeedPlace;
  /** Of the meter, as it numbers them. */
  meterChannels: readonly number[];
}

/** The feeds to follow; a stand-in is started beside where one is asked for. */
export async function feedsOf(
  { meter, liveData, meterChannels }: FeedPlaces,
  log: Logger,
): Promise<{ feeds: Feed[]; stop: () => Promise<void> }> {
  const standIns: { close: () => Promise<void> }[] = [];
  const feeds: Feed[] = [];
  const follow = async (place: FeedPlace, of: FeedId) => {
    if (place === 'none') return;
    const simulated = place === 'simulated';
    const { follow: followed, standIn } =
      PROTOCOLS[simulated ? STAND_IN_PROTOCOL[of] : (place.protocol ?? USUAL_PROTOCOL[of])];
    if (!simulated) return void feeds.push(followed({ ...place, simulated, meterChannels, log }));
    const started = await standIn();
    standIns.push(started);
    feeds.push(followed({ host: '127.0.0.1', port: started.port, simulated, meterChannels, log }));
  };
  await follow(meter, 'meter');
  await follow(liveData, 'live-data');
  return {
    feeds,
    stop: async () => {
      for (const feed of feeds) await feed.stop();
      for (const standIn of standIns) await standIn.close();
    },
  };
}
