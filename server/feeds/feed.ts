import type { FeedInfo } from '@lettura/contract';
import type { FeedBuffer } from './feedBuffer.ts';

/** Whatever gives values live: followed as long as the server runs. */
export interface Feed {
  readonly info: FeedInfo;
  readonly buffer: FeedBuffer;
  stop(): Promise<void>;
}
