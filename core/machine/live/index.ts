export {
  LIVE_ITEM_IDS,
  LIVE_ITEMS,
  liveCount,
  liveItemOf,
  liveValue,
  type LiveItem,
  type LiveItemId,
} from './liveItems.ts';
