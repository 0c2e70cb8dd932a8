import { isMessage, type Message } from '@lettura/core/measure/message';
import { ENGLISH, type Reader } from './reader.ts';
import { wordsFor, type Words } from './words.ts';

/** The same with every message worded, however deep. */
export type InWords<T> = [Message] extends [T]
  ? string | Exclude<T, Message>
  : T extends (...given: never[]) => unknown
    ? T
    : T extends object
      ? { [K in keyof T]: InWords<T[K]> }
      : T;

/** Anything at all with its messages worded: for whoever has no catalogue, as a file or a test. */
export function inWords<T>(given: T, reader: Reader = ENGLISH): InWords<T> {
  return worded(given, wordsFor(reader)) as InWords<T>;
}

function worded(given: unknown, words: Words): unknown {
  if (isMessage(given)) return words.say(given);
  if (Array.isArray(given)) return given.map((one) => worded(one, words));
  if (typeof given !== 'object' || given === null || ArrayBuffer.isView(given)) return given;
  if (Object.getPrototypeOf(given) !== Object.prototype) return given;
  return Object.fromEntries(Object.entries(given).map(([name, value]) => [name, worded(value, words)]));
}
