import type { Logger } from 'pino';
import type { Feed } from './feed.ts';
import { PROTOCOLS, type FeedPlace, type ProtocolId } from './protocols.ts';

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
  const follow = async (place: FeedPlace, usual: ProtocolId) => {
    if (place === 'none') return;
    const simulated = place === 'simulated';
    const { follow: followed, standIn } = PROTOCOLS[simulated ? usual : (place.protocol ?? usual)];
    if (!simulated) return void feeds.push(followed({ ...place, simulated, meterChannels, log }));
    const started = await standIn();
    standIns.push(started);
    feeds.push(followed({ host: '127.0.0.1', port: started.port, simulated, meterChannels, log }));
  };
  await follow(meter, 'scpi');
  await follow(liveData, 'can-text');
  return {
    feeds,
    stop: async () => {
      for (const feed of feeds) await feed.stop();
      for (const standIn of standIns) await standIn.close();
    },
  };
}
