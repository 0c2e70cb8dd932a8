import { codeFromBytes } from './codeBytes.ts';

/*
 * What a tester asks and what a unit answers: SAE J1979 (ISO 15031-5) over CAN, from memory. An answer begins with its service
 * plus 40; 7F says that a request was refused, and why.
 */

/** By what is asked for. */
export const SERVICES = {
  'live-data': 0x01,
  'freeze-frame': 0x02,
  stored: 0x03,
  clear: 0x04,
  pending: 0x07,
  vehicle: 0x09,
  permanent: 0x0a,
} as const;
export type ServiceId = keyof typeof SERVICES;

const ANSWERED = 0x40;
const REFUSED = 0x7f;

/** Items of live data that say which of the next 32 there are. */
export const SUPPORTED_LISTS: readonly number[] = [0x00, 0x20, 0x40, 0x60, 0x80];
/** The item of a freeze frame that names its code, and of live data that tells of readiness. */
export const FROZEN_FOR = 0x02;
export const READINESS = 0x01;
export const VEHICLE_NUMBER = 0x02;

/** Why a unit refuses, where that matters to whoever asks. */
export const REFUSALS = {
  0x10: 'general',
  0x11: 'no-such-service',
  0x12: 'no-such-item',
  0x21: 'busy',
  0x22: 'not-now',
  0x31: 'out-of-range',
  0x33: 'locked',
  0x78: 'wait',
} as const;
export type RefusalId = (typeof REFUSALS)[keyof typeof REFUSALS] | 'other';

/** A request: the service and what follows it. */
export const requestFor = (service: ServiceId, ...items: readonly number[]): number[] => [
  SERVICES[service],
  ...items,
];

export type ServiceAnswer =
  | { kind: 'answer'; data: number[] }
  | { kind: 'refused'; why: RefusalId }
  /** Of something else that was asked. */
  | { kind: 'other' };

/** What a message says to a request. */
export function answerTo(request: readonly number[], message: readonly number[]): ServiceAnswer {
  const [service = 0, ...items] = request;
  const [said, ...rest] = message;
  if (said === REFUSED && rest[0] === service) {
    const why = REFUSALS[rest[1] as keyof typeof REFUSALS] as RefusalId | undefined;
    return { kind: 'refused', why: why ?? 'other' };
  }
  // A unit repeats which item it answers; an answer to an earlier request is of another.
  const isOfIt = said === service + ANSWERED && items.every((item, i) => rest[i] === item);
  return isOfIt ? { kind: 'answer', data: rest.slice(items.length) } : { kind: 'other' };
}

/** An answer to a request, as a unit sends it. */
export const answered = (request: readonly number[], data: readonly number[]): number[] => [
  (request[0] ?? 0) + ANSWERED,
  ...request.slice(1),
  ...data,
];

/** A refusal of a request. */
export const refusedWith = (request: readonly number[], why: Exclude<RefusalId, 'other'>): number[] => [
  REFUSED,
  request[0] ?? 0,
  Number(Object.entries(REFUSALS).find(([, id]) => id === why)![0]),
];

/** Codes of an answer: how many, and two bytes each; fewer come where fewer are there than was said. */
export function codesFrom([count = 0, ...bytes]: readonly number[]): string[] {
  const codes: string[] = [];
  for (let i = 0; i + 1 < bytes.length && codes.length < count; i += 2)
    codes.push(codeFromBytes(bytes[i]!, bytes[i + 1]!));
  return codes;
}

/** Items that there are, from the four bytes of a list. */
export function supportedFrom(list: number, bytes: readonly number[]): number[] {
  const items: number[] = [];
  bytes.slice(0, 4).forEach((byte, i) => {
    for (let bit = 0; bit < 8; bit++) if ((byte >> (7 - bit)) & 1) items.push(list + 8 * i + bit + 1);
  });
  return items;
}

/** The four bytes of a list. */
export const supportedBytes = (list: number, items: readonly number[]): number[] =>
  [0, 1, 2, 3].map((i) =>
    [...Array(8).keys()].reduce(
      (byte, bit) => (items.includes(list + 8 * i + bit + 1) ? byte | (0x80 >> bit) : byte),
      0,
    ),
  );

/** A vehicle's number has no more letters (ISO 3779). */
const NUMBER_LETTERS = 17;

/** The number of a vehicle: how many there are, then its letters; what fills it up is left out. */
export const vehicleNumberFrom = ([, ...bytes]: readonly number[]): string =>
  String.fromCharCode(...bytes.filter((byte) => byte > 0x20 && byte < 0x7f).slice(0, NUMBER_LETTERS));
