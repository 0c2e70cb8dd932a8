import type { Quantity } from './quantities.ts';

/**
 * Something to say: a code, and the values that it is said with. Two that say the same are equal by value, whatever the
 * language; the words are in the catalogues of `words/`.
 */
export interface Message {
  readonly code: string;
  readonly values?: Values;
}

/** Text that a person wrote or that stands on a part: shown as it is, in every language. */
export interface Verbatim {
  readonly verbatim: string;
}

/** Several things in a row; nothing is said for none. */
export interface MessageList {
  readonly list: readonly Value[];
  readonly joined: 'commas' | 'and' | 'or' | 'semicolons' | 'sentences';
}

/** A string or a boolean chooses between variants of a message; it is never shown. */
export type Value = Message | Quantity | Verbatim | MessageList | number | string | boolean;
type Values = Readonly<Record<string, Value>>;

/** A choice has to be one of a few: any text at all would be shown, and then it is in no language. */
type Choices<V> = { readonly [K in keyof V]: string extends V[K] ? never : V[K] };

/** The code is written out, or put together of what is one of a few, so that a check can compare it with the catalogues. */
export function say<const C extends string>(code: C): Message;
/**
 * A message: its code, and the values that stand in it. Parameters that the catalogue does not know are found by
 * the check of words.
 */
export function say<const C extends string, const V extends Values>(code: C, values: V & Choices<V>): Message;
export function say(code: string, values?: Values): Message {
  return values ? { code, values } : { code };
}

/** A text that somebody typed, or that is the same in every language. */
export const verbatim = (text: string): Verbatim => ({ verbatim: text });

/** Several values as one, joined as the reader joins them. */
export const list = (values: readonly Value[], joined: MessageList['joined'] = 'commas'): MessageList => ({
  list: values,
  joined,
});

/** Where there may be something more to say, and is not. */
export const NOTHING_TO_SAY: MessageList = { list: [], joined: 'commas' };

/** Each once, in the order of their first. */
export const withoutRepeats = (messages: readonly Message[]): Message[] =>
  messages.filter((one, i) => messages.findIndex((other) => sameMessage(other, one)) === i);

/** Of anything at all: whether it is a message. */
export const isMessage = (value: unknown): value is Message =>
  typeof value === 'object' &&
  value !== null &&
  'code' in value &&
  typeof value.code === 'string' &&
  Object.keys(value).every((key) => key === 'code' || key === 'values');

/** The same code with the same values. */
export const sameMessage = (a: Message, b: Message): boolean => JSON.stringify(a) === JSON.stringify(b);
