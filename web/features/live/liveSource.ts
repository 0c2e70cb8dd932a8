import type { FeedEvent } from '@lettura/contract';
import type { ChannelUse } from '@lettura/core/recording/sweep';

/** Whatever gives values as they happen: an instrument behind the server, the simulated bench, a recording played again. */
export interface LiveSource {
  /** Two sources with the same one are the same source. */
  id: string;
  name: string;
  /** Its values are invented. */
  simulated?: boolean;
  channels: readonly { name: string; unit: string }[];
  /** What its channels are, where the source itself knows. */
  uses?: readonly ChannelUse[];
  /** Tells of every sample once, in order, until the function that it gives back is called. */
  follow: (tell: (event: FeedEvent) => void) => () => void;
}
