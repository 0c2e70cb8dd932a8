import { connect, type Socket } from 'node:net';
import { plain, say } from '@lettura/core/measure/message';
import { FeedFault } from './feedFault.ts';

const LONGEST_LINE = 4096;

/**
 * Lines from a socket, as they come; ends with an error when the connection does, when nothing came for a while, or when a
 * line has no end.
 */
export async function* linesFrom(
  host: string,
  port: number,
  { quietMs, signal }: { quietMs: number; signal: AbortSignal },
): AsyncGenerator<string> {
  const socket: Socket = connect({ host, port });
  socket.setEncoding('latin1');
  socket.setTimeout(quietMs, () =>
    socket.destroy(new FeedFault(say('feed.nothing-came', { within: plain(quietMs, 'ms') }))),
  );
  const abort = () => socket.destroy();
  signal.addEventListener('abort', abort, { once: true });
  try {
    let text = '';
    for await (const piece of socket as AsyncIterable<string>) {
      const lines = (text + piece).split('\n');
      text = lines.pop() ?? '';
      if (text.length > LONGEST_LINE) throw new FeedFault(say('feed.line-without-end'));
      yield* lines;
    }
    throw new FeedFault(say('feed.connection-closed'));
  } finally {
    signal.removeEventListener('abort', abort);
    socket.destroy();
  }
}
