import { connect, type Socket } from 'node:net';
import { plain, say } from '@lettura/core/measure/message';
import { FeedFault, feedFaultOf } from './feedFault.ts';

/** A connection that stands, with text in one byte a letter; fails in the words of a feed, after its time at the latest. */
export function openSocket(host: string, port: number, timeoutMs: number): Promise<Socket> {
  return new Promise((resolve, reject) => {
    const socket = connect({ host, port });
    const refuse = (fault: FeedFault) => {
      clearTimeout(timer);
      socket.destroy();
      reject(fault);
    };
    const timer = setTimeout(
      () => refuse(new FeedFault(say('feed.no-connection', { within: plain(timeoutMs, 'ms') }))),
      timeoutMs,
    );
    socket.once('error', (error) => refuse(new FeedFault(feedFaultOf(error))));
    socket.once('connect', () => {
      clearTimeout(timer);
      socket.removeAllListeners('error');
      socket.setNoDelay(true);
      socket.setEncoding('latin1');
      resolve(socket);
    });
  });
}
