import type { Socket } from 'node:net';
import { plain, say, verbatim } from '@lettura/core/measure/message';
import { FeedFault, feedFaultOf } from './feedFault.ts';
import { openSocket } from './openSocket.ts';

const LONGEST_LINE = 4096;

/**
 * A conversation with an instrument over a socket, one question at a time, each a line and answered by a line
 * (IEEE 488.2 messages over TCP). Any failure ends the session: whoever holds it makes a new one.
 */
export class ScpiSession {
  readonly #socket: Socket;
  readonly #timeoutMs: number;
  #text = '';
  #answer: { take: (line: string) => void; fail: (error: FeedFault) => void } | undefined;
  #ended: FeedFault | undefined;

  private constructor(socket: Socket, timeoutMs: number) {
    this.#socket = socket;
    this.#timeoutMs = timeoutMs;
    socket.on('data', (text: string) => this.#receive(text));
    socket.on('error', (error) => this.#end(new FeedFault(feedFaultOf(error))));
    socket.on('close', () => this.#end(new FeedFault(say('feed.connection-closed'))));
  }

  static async open(host: string, port: number, timeoutMs: number): Promise<ScpiSession> {
    return new ScpiSession(await openSocket(host, port, timeoutMs), timeoutMs);
  }

  /** Sends a query and gives the line that answers it. */
  ask(query: string): Promise<string> {
    if (this.#ended) return Promise.reject(this.#ended);
    if (this.#answer) return Promise.reject(new Error('A question is still open.'));
    return new Promise((resolve, reject) => {
      const timer = setTimeout(
        () =>
          this.#end(
            new FeedFault(
              say('feed.no-answer', { query: verbatim(query), within: plain(this.#timeoutMs, 'ms') }),
            ),
          ),
        this.#timeoutMs,
      );
      this.#answer = {
        take: (line) => {
          clearTimeout(timer);
          resolve(line);
        },
        fail: (error) => {
          clearTimeout(timer);
          reject(error);
        },
      };
      this.#socket.write(`${query}\n`);
    });
  }

  /** A command without an answer. */
  tell(command: string): void {
    if (!this.#ended) this.#socket.write(`${command}\n`);
  }

  close(): void {
    this.#end(new FeedFault(say('feed.connection-closed')));
  }

  #receive(text: string): void {
    this.#text += text;
    for (let end = this.#text.indexOf('\n'); end >= 0; end = this.#text.indexOf('\n')) {
      const line = this.#text.slice(0, end).replace(/\r$/u, '');
      this.#text = this.#text.slice(end + 1);
      const answer = this.#answer;
      this.#answer = undefined;
      if (!answer) {
        this.#end(new FeedFault(say('feed.spoke-unasked')));
        return;
      }
      answer.take(line);
    }
    if (this.#text.length > LONGEST_LINE) this.#end(new FeedFault(say('feed.line-without-end')));
  }

  #end(error: FeedFault): void {
    if (this.#ended) return;
    this.#ended = error;
    this.#socket.destroy();
    const answer = this.#answer;
    this.#answer = undefined;
    answer?.fail(error);
  }
}
