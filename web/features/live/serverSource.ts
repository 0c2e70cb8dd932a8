import { feedEvent, type FeedInfo } from '@lettura/contract';
import type { LiveSource } from './liveSource.ts';

/** A feed that the server relays: the browser connects again by itself and goes on where it was. */
export const serverSource = ({ id, name, channels, simulated }: FeedInfo): LiveSource => ({
  id,
  name,
  channels,
  simulated,
  follow(tell) {
    const stream = new EventSource(`/api/feeds/${id}/stream`);
    stream.addEventListener('message', ({ data }: MessageEvent<string>) => {
      const event = feedEvent.safeParse(JSON.parse(data));
      if (event.success) tell(event.data);
    });
    return () => stream.close();
  },
});
