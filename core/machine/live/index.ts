export {
  LIVE_ITEM_IDS,
  LIVE_ITEMS,
  liveBytes,
  liveItemOf,
  liveValue,
  type LiveItem,
  type LiveItemId,
} from './liveItems.ts';
