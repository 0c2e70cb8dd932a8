import type { FeedKind } from '@lettura/contract';
import type { Logger } from 'pino';
import type { Feed } from './feed.ts';
import { ON_DEVICE, PROTOCOLS, STAND_IN_PROTOCOL, USUAL_PROTOCOL, type FeedPlace } from './protocols.ts';

export interface FeedPlaces {
  meters: readonly FeedPlace[];
  liveData: FeedPlace;
  /** Of each meter in turn, as it numbers them; whoever has none of its own is read like a bench meter. */
  meterChannels: readonly (readonly number[])[];
}

/** A bench meter has two at most. */
const BENCH_METER_CHANNELS = [1, 2];
/** The stand-in is a logger with four leads. */
const STAND_IN_CHANNELS = [1, 2, 3, 4];

/** The feeds to follow; a stand-in is started beside where one is asked for. */
export async function feedsOf(
  { meters, liveData, meterChannels }: FeedPlaces,
  log: Logger,
): Promise<{ feeds: Feed[]; stop: () => Promise<void> }> {
  const standIns: { close: () => Promise<void> }[] = [];
  const feeds: Feed[] = [];
  const follow = async (place: FeedPlace, of: FeedKind, number: number) => {
    if (place === 'none') return;
    const simulated = place === 'simulated';
    const id = number === 1 ? of : `${of}-${number}`;
    const channels = meterChannels[number - 1] ?? (simulated ? STAND_IN_CHANNELS : BENCH_METER_CHANNELS);
    if (!simulated && 'device' in place)
      return void feeds.push(
        PROTOCOLS[ON_DEVICE].follow({ ...place, id, simulated, meterChannels: channels, log }),
      );
    const { follow: followed, standIn } =
      PROTOCOLS[simulated ? STAND_IN_PROTOCOL[of] : (place.protocol ?? USUAL_PROTOCOL[of])];
    const options = { id, simulated, meterChannels: channels, log };
    if (!simulated) return void feeds.push(followed({ ...place, ...options }));
    const started = await standIn();
    standIns.push(started);
    feeds.push(followed({ host: '127.0.0.1', port: started.port, ...options }));
  };
  for (const [i, place] of meters.entries()) await follow(place, 'meter', i + 1);
  await follow(liveData, 'live-data', 1);
  return {
    feeds,
    stop: async () => {
      for (const feed of feeds) await feed.stop();
      for (const standIn of standIns) await standIn.close();
    },
  };
}
