import type { FeedInfo } from '@lettura/contract';
import { LIVE_ITEM_IDS, LIVE_ITEMS } from '@lettura/core/machine/live';

/** A channel for each item of live data. */
export const LIVE_CHANNELS: FeedInfo['channels'] = [...LIVE_ITEMS.values()].map(({ name, unit }) => ({
  name,
  unit,
}));

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
