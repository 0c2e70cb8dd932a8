import type { Duplex } from 'node:stream';
import { fromSerialText, toSerialText, type CanFrame } from '@lettura/core/record/onBoard';
import { say } from '@lettura/core/measure/message';
import { FeedFault, feedFaultOf } from '../feeds/feedFault.ts';
import type { DevicePlace, SocketPlace } from '../feeds/addressOf.ts';
import { closeDevice, openDevice } from '../feeds/openDevice.ts';
import { openSocket } from '../feeds/openSocket.ts';

const LONGEST_TEXT = 4096;
const RETURN = '\r';
/** What an adapter refuses a command with. */
const BELL = '\u0007';

/** What the text protocol calls the speeds of a vehicle's diagnosis (ISO 15765-4 has these two). */
export const SPEEDS = { 500_000: 'S6', 250_000: 'S5' } as const;
export type BitsPerSecond = keyof typeof SPEEDS;

/** Bits of an adapter's own status: it gets no acknowledgement, or has left the bus (from memory of the text protocol). */
const ERROR_BITS = 0x80 | 0x20 | 0x04;

/**
 * An adapter that turns CAN frames into lines of text over a socket or a serial line, as Linux's `slcan` driver speaks it. Any failure
 * ends it: whoever holds it opens a new one.
 */
export class Adapter {
  readonly #line: Duplex;
  readonly #hangUp: () => void;
  readonly #onFrame = new Set<(frame: CanFrame) => void>();
  readonly #onEnd = new Set<(fault: FeedFault) => void>();
  #text = '';
  #status: ((bits: number) => void) | undefined;
  #ended: FeedFault | undefined;

  private constructor(line: Duplex, hangUp: () => void) {
    this.#line = line;
    this.#hangUp = hangUp;
    line.on('data', (text: string) => this.#receive(text));
    line.on('error', (error) => this.#end(new FeedFault(feedFaultOf(error))));
    line.on('close', () => this.#end(new FeedFault(say('feed.connection-closed'))));
  }

  static async open(at: SocketPlace | DevicePlace, timeoutMs: number): Promise<Adapter> {
    if ('device' in at) {
      const device = await openDevice(at.device, timeoutMs);
      return new Adapter(device, () => closeDevice(device));
    }
    const socket = await openSocket(at.host, at.port, timeoutMs);
    return new Adapter(socket, () => socket.destroy());
  }

  get ended(): FeedFault | undefined {
    return this.#ended;
  }

  /** Goes onto the bus at a speed, from whichever it was on before. */
  join(bitsPerSecond: BitsPerSecond): void {
    this.#write('C', SPEEDS[bitsPerSecond], 'O');
  }

  send(frame: CanFrame): void {
    this.#write(toSerialText(frame));
  }

  /** Whether the adapter says that the bus itself is at fault; false where it says nothing of it. */
  hasBusErrors(withinMs: number): Promise<boolean> {
    return new Promise((resolve) => {
      const done = (bits: number) => {
        clearTimeout(timer);
        this.#status = undefined;
        resolve((bits & ERROR_BITS) !== 0);
      };
      const timer = setTimeout(() => done(0), withinMs);
      this.#status = done;
      this.#write('F');
    });
  }

  /** @returns stops it */
  hear(frame: (frame: CanFrame) => void, end: (fault: FeedFault) => void): () => void {
    if (this.#ended) end(this.#ended);
    this.#onFrame.add(frame);
    this.#onEnd.add(end);
    return () => {
      this.#onFrame.delete(frame);
      this.#onEnd.delete(end);
    };
  }

  close(): void {
    this.#write('C');
    this.#end(new FeedFault(say('feed.connection-closed')));
  }

  #write(...commands: readonly string[]): void {
    if (!this.#ended) this.#line.write(commands.map((command) => `${command}\r`).join(''));
  }

  #receive(text: string): void {
    // A refusal ends a line as well, and says nothing that is waited for.
    const lines = (this.#text + text).replaceAll(BELL, RETURN).split(RETURN);
    this.#text = lines.pop() ?? '';
    for (const line of lines) this.#said(line);
    if (this.#text.length > LONGEST_TEXT) this.#end(new FeedFault(say('feed.line-without-end')));
  }

  #said(line: string): void {
    const [, bits] = /^F([0-9A-F]{2})$/iu.exec(line) ?? [];
    if (bits !== undefined) return this.#status?.(Number.parseInt(bits, 16));
    // What a command is acknowledged with may stand before a frame.
    const frame = fromSerialText(line.replace(/^[zZ]+/u, ''));
    if (frame) for (const hear of this.#onFrame) hear(frame);
  }

  #end(fault: FeedFault): void {
    if (this.#ended) return;
    this.#ended = fault;
    this.#hangUp();
    for (const hear of this.#onEnd) hear(fault);
  }
}
