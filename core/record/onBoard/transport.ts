/*
 * Messages longer than a frame: ISO 15765-2, normal addressing, from memory. The first half byte of a frame says what it is: 0 a
 * whole message, 1 the beginning of one, 2 its next piece, 3 the other side's leave to go on.
 */

const FRAME_BYTES = 8;
const WHOLE_MOST = 7;
const FIRST_HOLDS = 6;
/** What fills a frame up; a receiver does not look at it. */
const PADDING = 0x00;
const LONGEST = 0xfff;

const padded = (bytes: readonly number[]): number[] => [
  ...bytes,
  ...Array.from({ length: FRAME_BYTES - bytes.length }, () => PADDING),
];

/** Leave to send all the rest without a pause. */
export const GO_ON: readonly number[] = padded([0x30, 0, 0]);

/** The frames of a message: one where it fits, else the first and those that follow once the other side says so. */
export function framesOf(message: readonly number[]): number[][] {
  const { length } = message;
  if (length <= WHOLE_MOST) return [padded([length, ...message])];
  if (length > LONGEST) throw new Error(`A message of ${length} bytes has no first frame.`);
  const frames = [[0x10 | (length >> 8), length & 0xff, ...message.slice(0, FIRST_HOLDS)]];
  for (let at = FIRST_HOLDS, number = 1; at < length; at += WHOLE_MOST, number++)
    frames.push(padded([0x20 | (number & 0xf), ...message.slice(at, at + WHOLE_MOST)]));
  return frames;
}

/** What a frame came to: a whole message, one that has begun and wants leave to go on, more to come, or a piece that is missing. */
export type Received =
  | { kind: 'message'; message: number[] }
  | { kind: 'begun' }
  | { kind: 'more' }
  | { kind: 'lost' }
  | { kind: 'none' };

/** Puts together what one sender sends. */
export class Receiver {
  #length = 0;
  #bytes: number[] = [];
  #next = 0;

  take(bytes: readonly number[]): Received {
    const [first = 0] = bytes;
    switch (first >> 4) {
      case 0: {
        const length = first & 0xf;
        if (length === 0 || length > WHOLE_MOST || bytes.length < 1 + length) return { kind: 'none' };
        this.#length = 0;
        return { kind: 'message', message: bytes.slice(1, 1 + length) };
      }
      case 1: {
        const length = ((first & 0xf) << 8) | (bytes[1] ?? 0);
        if (length <= WHOLE_MOST || bytes.length < FRAME_BYTES) return { kind: 'none' };
        this.#length = length;
        this.#bytes = bytes.slice(2);
        this.#next = 1;
        return { kind: 'begun' };
      }
      case 2:
        return this.#piece(first & 0xf, bytes.slice(1));
      default:
        return { kind: 'none' };
    }
  }

  #piece(number: number, piece: readonly number[]): Received {
    // A piece of something that was never begun, or given up.
    if (this.#length === 0) return { kind: 'none' };
    if (number !== this.#next) {
      this.#length = 0;
      return { kind: 'lost' };
    }
    this.#bytes.push(...piece);
    this.#next = (this.#next + 1) & 0xf;
    if (this.#bytes.length < this.#length) return { kind: 'more' };
    const message = this.#bytes.slice(0, this.#length);
    this.#length = 0;
    return { kind: 'message', message };
  }
}
