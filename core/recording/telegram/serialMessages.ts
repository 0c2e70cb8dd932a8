import { checksum4, checksum6 } from './checksum.ts';
import type { Telegrams } from './telegrams.ts';

/** What a sensor says bit by bit beside its values, over many frames: who it is, its range, its temperature. */
export interface SerialMessage {
  form: 'short' | 'enhanced';
  /** Of its last frame. */
  atSeconds: number;
  id: number;
  value: number;
}

const SHORT_FRAMES = 16;
const ENHANCED_FRAMES = 18;
const DATA_BIT = 4;
const START_BIT = 8;

/**
 * Serial messages in the status nibbles, short and enhanced (SAE J2716, from memory). One that a lost frame cuts, or whose
 * checksum is wrong, is left out: it comes again.
 */
export function serialMessages({ status, follows, startSeconds, layout }: Telegrams): SerialMessage[] {
  const messages: SerialMessage[] = [];
  let unbroken = 0;
  for (let at = 0; at < status.length; at++) {
    unbroken = follows[at] ? unbroken + 1 : 1;
    const bitsOf = (bit: number, frames: number) =>
      Array.from({ length: frames }, (_, i) => (status[at - frames + 1 + i]! & bit ? 1 : 0));
    const found =
      (unbroken >= ENHANCED_FRAMES &&
        enhanced(bitsOf(START_BIT, ENHANCED_FRAMES), bitsOf(DATA_BIT, ENHANCED_FRAMES))) ||
      (unbroken >= SHORT_FRAMES &&
        short(bitsOf(START_BIT, SHORT_FRAMES), bitsOf(DATA_BIT, SHORT_FRAMES), layout.checksum));
    if (found) messages.push({ ...found, atSeconds: startSeconds[at]! });
  }
  return messages;
}

type Found = Omit<SerialMessage, 'atSeconds'>;
const number = (bits: readonly number[]): number => bits.reduce<number>((sum, bit) => 2 * sum + bit, 0);

/** Four bits of id, eight of data, four of checksum; the start bit stands in the first frame alone. */
function short(
  start: readonly number[],
  bits: readonly number[],
  form: Telegrams['layout']['checksum'],
): Found | undefined {
  if (start[0] !== 1 || start.slice(1).some((bit) => bit === 1)) return undefined;
  const nibbles = [0, 4, 8, 12].map((from) => number(bits.slice(from, from + 4)));
  const [id = 0, upper = 0, lower = 0, sum] = nibbles;
  return checksum4(nibbles, 0, 3, form) === sum
    ? { form: 'short', id, value: 16 * upper + lower }
    : undefined;
}

/** Six frames with the start bit, then fixed zeros at the 7th, 13th and 18th; the 8th says how id and data share the bits. */
function enhanced(start: readonly number[], bits: readonly number[]): Found | undefined {
  const pattern = start.slice(0, 6).every((bit) => bit === 1) && !start[6] && !start[12] && !start[17];
  if (!pattern) return undefined;
  const sum = number(bits.slice(0, 6));
  const spoken = Array.from({ length: 12 }, (_, i) => [bits[6 + i]!, start[6 + i]!]).flat();
  if (checksum6(spoken) !== sum) return undefined;
  const upper = start.slice(8, 12);
  const lower = start.slice(13, 17);
  const data = number(bits.slice(6));
  return start[7]
    ? { form: 'enhanced', id: number(upper), value: 4096 * number(lower) + data }
    : { form: 'enhanced', id: number([...upper, ...lower]), value: data };
}
