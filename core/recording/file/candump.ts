import { LIVE_ITEMS, liveValue } from '../../machine/live/index.ts';
import { answerTo, requestFor, unitOf } from '../../record/onBoard/index.ts';
import type { Channel, Recording } from '../sweep/index.ts';

const FRAME = /^\((\d+\.\d+)\)\s+\S+\s+([0-9A-F]{3}|[0-9A-F]{8})#([0-9A-F]{0,16})\s*$/iu;
const EXTENDED_DIGITS = 8;

/** Whether its first line is a frame as `candump -l` of the Linux can-utils writes it. */
export const looksLikeCandump = (text: string): boolean => FRAME.test(text.split('\n', 1)[0] ?? '');

export interface DecodedLog {
  recording: Recording;
  frames: number;
  /** Lines that are no frame, as an editor counts them; the first few. */
  oddLines: number[];
}

const MOST_ODD = 5;

/** One answer of a control unit to standard live data. */
export interface LiveAnswer {
  seconds: number;
  item: number;
  value: number;
}

/** What a line of a log says: an answer with live data, some other frame, or no frame at all. */
export function readFrame(line: string): LiveAnswer | 'other' | 'no-frame' {
  const [, moment, id, digits = ''] = FRAME.exec(line) ?? [];
  if (moment === undefined || id === undefined) return 'no-frame';
  const bytes = digits.match(/../gu)?.map((byte) => Number.parseInt(byte, 16)) ?? [];
  const unit = unitOf({ id: Number.parseInt(id, 16), isExtended: id.length === EXTENDED_DIGITS, bytes });
  const [length = 0, ...message] = bytes;
  const item = message[1] ?? -1;
  const answer = answerTo(requestFor('live-data', item), message.slice(0, length));
  const known = LIVE_ITEMS.get(item);
  const value = known && answer.kind === 'answer' ? liveValue(known, answer.data) : undefined;
  if (!unit || value === undefined) return 'other';
  return { seconds: Number(moment), item, value };
}

/** Live data out of a log of CAN frames, each item a channel: between two of its answers a value stands. */
export function decodeCandump(text: string): DecodedLog {
  const seen: LiveAnswer[] = [];
  const oddLines: number[] = [];
  let frames = 0;
  text.split(/\r?\n/u).forEach((line, i) => {
    if (line.trim() === '') return;
    const read = readFrame(line);
    if (read === 'no-frame') {
      if (oddLines.length < MOST_ODD) oddLines.push(i + 1);
      return;
    }
    frames++;
    if (read !== 'other') seen.push(read);
  });
  const items = [...new Set(seen.map(({ item }) => item))];
  const start = seen[0]?.seconds ?? 0;
  const channels = items.map((item): Channel => {
    const { name, unit } = LIVE_ITEMS.get(item)!;
    return { name, unit, values: new Float64Array(seen.length).fill(NaN) };
  });
  const standing = new Float64Array(items.length).fill(NaN);
  seen.forEach(({ item, value }, i) => {
    standing[items.indexOf(item)] = value;
    channels.forEach(({ values }, channel) => (values[i] = standing[channel]!));
  });
  return {
    recording: { seconds: Float64Array.from(seen, ({ seconds }) => seconds - start), channels },
    frames,
    oddLines,
  };
}
