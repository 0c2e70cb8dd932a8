import { isMessage, type Message, type MessageList, type Value } from './message.ts';
import type { Quantity } from './quantities.ts';

/** What `coded` makes of something: every message in it as a line. */
export type Coded<T> = [Message] extends [T]
  ? string | Exclude<T, Message>
  : T extends object
    ? { [K in keyof T]: Coded<T[K]> }
    : T;

/**
 * For tests: anything at all, with each message as a line of its code and its values, such as `expected.usual{reads: 50 %}`, so
 * that a test says what is meant and not how a language puts it.
 */
export function coded<T>(given: T): Coded<T> {
  return codedAny(given) as Coded<T>;
}

function codedAny(given: unknown): unknown {
  if (isMessage(given)) return lineOf(given);
  if (Array.isArray(given)) return given.map(codedAny);
  if (typeof given !== 'object' || given === null || ArrayBuffer.isView(given)) return given;
  if (Object.getPrototypeOf(given) !== Object.prototype) return given;
  return Object.fromEntries(Object.entries(given).map(([name, value]) => [name, codedAny(value)]));
}

function lineOf({ code, values }: Message): string {
  if (!values) return code;
  const said = Object.entries(values).map(([name, value]) => `${name}: ${valueOf(value)}`);
  return `${code}{${said.join(', ')}}`;
}

function valueOf(value: Value): string {
  if (typeof value === 'number') return rounded(value);
  if (typeof value !== 'object') return String(value);
  if (isMessage(value)) return lineOf(value);
  if (isList(value)) return `[${value.list.map(valueOf).join(', ')}]`;
  if ('verbatim' in value) return `“${value.verbatim}”`;
  return quantityOf(value);
}

const isList = (value: object): value is MessageList => 'list' in value;

function quantityOf(quantity: Quantity): string {
  if ('volts' in quantity) return inUnit(rounded(quantity.volts), 'V');
  if ('ohms' in quantity) return quantity.ohms >= 1e12 ? 'OL' : inUnit(rounded(quantity.ohms), 'Ω');
  if ('kpa' in quantity) return inUnit(rounded(quantity.kpa), 'kPa');
  if ('kpaIn' in quantity) return inUnit(rounded(quantity.kpaIn), 'kPa', 'in', quantity.unit);
  if ('measures' in quantity) return inUnit(rounded(quantity.value), quantity.measures);
  if ('times' in quantity) return inUnit(rounded(quantity.times), 'times');
  if ('fixed' in quantity) return inUnit(quantity.fixed.toFixed(quantity.decimals), quantity.unit);
  return inUnit(rounded(quantity.plain), quantity.unit);
}

const inUnit = (...parts: readonly (string | undefined)[]): string =>
  parts.filter((part) => part !== undefined).join(' ');

/** To four digits: more would test the arithmetic of the machine. */
const rounded = (value: number): string => String(Number(value.toPrecision(4)));
