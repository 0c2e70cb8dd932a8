import type { FeedInfo, FeedStatus } from '@lettura/contract';
import { addressOf, type DevicePlace, type SocketPlace } from './addressOf.ts';
import { LIVE_ITEM_IDS, LIVE_ITEMS } from '@lettura/core/machine/live';

/** Live data as a feed, with a channel for each item. */
export const liveDataInfo = (
  status: FeedStatus,
  at: (SocketPlace | DevicePlace) & { simulated?: boolean; name?: string | undefined },
): FeedInfo => ({
  id: 'live-data',
  kind: 'live-data',
  name: at.name ?? 'Live data',
  ...addressOf(at),
  simulated: at.simulated ?? false,
  channels: [...LIVE_ITEMS.values()].map(({ name, unit }) => ({ name, unit })),
  status,
});

/** What each item said last: between two of its answers it stands. */
export class StandingItems {
  readonly #values: (number | null)[] = LIVE_ITEM_IDS.map(() => null);

  /** All of them, with one that was just answered; null where it was asked for in vain. */
  with(item: number, value: number | null): (number | null)[] {
    this.#values[LIVE_ITEM_IDS.indexOf(item)] = value;
    return [...this.#values];
  }

  /** What a lost unit said last is not what it says now. */
  forget(): void {
    this.#values.fill(null);
  }
}
