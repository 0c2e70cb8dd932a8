import { connect, type Socket } from 'node:net';

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
  socket.setTimeout(quietMs, () => socket.destroy(new Error(`Nothing came for ${quietMs} ms.`)));
  const abort = () => socket.destroy();
  signal.addEventListener('abort', abort, { once: true });
  try {
    let text = '';
    for await (const piece of socket as AsyncIterable<string>) {
      const lines = (text + piece).split('\n');
      text = lines.pop() ?? '';
      if (text.length > LONGEST_LINE) throw new Error('A line without an end came.');
      yield* lines;
    }
    throw new Error('The connection was closed.');
  } finally {
    signal.removeEventListener('abort', abort);
    socket.destroy();
  }
}
