import type { FeedEvent } from '@lettura/contract';
import type { Request, Response } from 'express';
import type { FeedBuffer } from './feedBuffer.ts';

/** At least this often something is said, so that a browser sees a stalled feed within a second. */
const HEARTBEAT_MS = 500;
/** Events of one sample each would be mostly envelope. */
const GATHER_MS = 30;
const RETRY_MS = 500;

/**
 * A feed as server-sent events. Nothing is queued for a browser: it is given what the buffer has since its last event, as
 * fast as it takes it, and after a drop it goes on where it was.
 */
export async function streamFeed(
  buffer: FeedBuffer,
  req: Request,
  res: Response,
  stopping?: AbortSignal,
): Promise<void> {
  const gone = new AbortController();
  const leave = () => gone.abort();
  stopping?.addEventListener('abort', leave, { once: true });
  // Browsers come and go for as long as the server runs: none of them may stay behind as a listener.
  res.on('close', () => {
    stopping?.removeEventListener('abort', leave);
    leave();
  });
  res.writeHead(200, {
    'content-type': 'text/event-stream',
    'cache-control': 'no-store',
    'x-accel-buffering': 'no',
  });
  res.write(`retry: ${RETRY_MS}\n\n`);
  const lookAway = buffer.attention.begin();
  let sent = buffer.seenBy(req.get('last-event-id'));
  while (!gone.signal.aborted) {
    const { samples, missed } = buffer.after(sent);
    sent = samples.at(-1)?.number ?? sent;
    const event: FeedEvent = { status: buffer.status, samples, missed, nowMs: Date.now() };
    const taken = res.write(`id: ${buffer.markAt(sent)}\ndata: ${JSON.stringify(event)}\n\n`);
    if (!taken) await settled(gone.signal, (done) => res.once('drain', done));
    await settled(gone.signal, (done) => setTimeout(done, GATHER_MS));
    if (buffer.after(sent).samples.length === 0) await buffer.news(gone.signal, HEARTBEAT_MS);
  }
  lookAway();
  res.end();
}

const settled = (signal: AbortSignal, start: (done: () => void) => void): Promise<void> =>
  new Promise((resolve) => {
    const done = () => {
      signal.removeEventListener('abort', done);
      resolve();
    };
    signal.addEventListener('abort', done, { once: true });
    start(done);
  });
