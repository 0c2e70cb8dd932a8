import { say, type Message } from '../../measure/message/index.ts';

/** An item of standard live data: what an answer's bytes count in. */
export interface LiveItem {
  /** Of a channel that is recorded. */
  name: string;
  said: Message;
  unit: 'kPa' | 'rpm' | '°C' | 'g/s' | '%' | 'V';
  /** That count. */
  bytes: 1 | 2;
  /** Before them stands one whose lowest bit says whether the unit has the value. */
  after?: 1;
  /** A count past the half is one below zero. */
  isSigned?: true;
  /** Size of one count, in the unit. */
  perCount: number;
  /** Value of a count of zero. */
  atZero?: number;
}

/** The items that a sensor of this product shows up in: SAE J1979 service 01, numbers and scaling from memory. */
const ITEMS = {
  0x04: {
    name: 'Calculated load',
    said: say('live-item.calculated-load'),
    unit: '%',
    bytes: 1,
    perCount: 100 / 255,
  },
  0x0b: {
    name: 'Manifold pressure',
    said: say('live-item.manifold-pressure'),
    unit: 'kPa',
    bytes: 1,
    perCount: 1,
  },
  0x0c: { name: 'Engine speed', said: say('live-item.engine-speed'), unit: 'rpm', bytes: 2, perCount: 1 / 4 },
  0x0f: {
    name: 'Intake air temperature',
    said: say('live-item.intake-air-temperature'),
    unit: '°C',
    bytes: 1,
    perCount: 1,
    atZero: -40,
  },
  0x10: { name: 'Air flow', said: say('live-item.air-flow'), unit: 'g/s', bytes: 2, perCount: 1 / 100 },
  0x11: {
    name: 'Throttle position',
    said: say('live-item.throttle-position'),
    unit: '%',
    bytes: 1,
    perCount: 100 / 255,
  },
  0x22: {
    name: 'Rail pressure, relative',
    said: say('live-item.rail-pressure-relative'),
    unit: 'kPa',
    bytes: 2,
    perCount: 0.079,
  },
  0x23: { name: 'Rail pressure', said: say('live-item.rail-pressure'), unit: 'kPa', bytes: 2, perCount: 10 },
  0x33: {
    name: 'Barometric pressure',
    said: say('live-item.barometric-pressure'),
    unit: 'kPa',
    bytes: 1,
    perCount: 1,
  },
  0x42: {
    name: 'Control unit voltage',
    said: say('live-item.unit-voltage'),
    unit: 'V',
    bytes: 2,
    perCount: 1 / 1000,
  },
  0x45: {
    name: 'Relative throttle position',
    said: say('live-item.relative-throttle-position'),
    unit: '%',
    bytes: 1,
    perCount: 100 / 255,
  },
  0x49: {
    name: 'Pedal position D',
    said: say('live-item.pedal-position-d'),
    unit: '%',
    bytes: 1,
    perCount: 100 / 255,
  },
  0x4a: {
    name: 'Pedal position E',
    said: say('live-item.pedal-position-e'),
    unit: '%',
    bytes: 1,
    perCount: 100 / 255,
  },
  0x73: {
    name: 'Exhaust pressure',
    said: say('live-item.exhaust-pressure'),
    unit: 'kPa',
    bytes: 2,
    after: 1,
    perCount: 1 / 100,
  },
  0x7a: {
    name: 'Filter differential pressure',
    said: say('live-item.filter-differential-pressure'),
    unit: 'kPa',
    bytes: 2,
    after: 1,
    isSigned: true,
    perCount: 1 / 100,
  },
} as const satisfies Record<number, LiveItem>;

export type LiveItemId = keyof typeof ITEMS;

export const LIVE_ITEMS: ReadonlyMap<number, LiveItem> = new Map(
  Object.entries(ITEMS).map(([id, item]) => [Number(id), item]),
);

/** In the order of the channels of a decoded stream. */
export const LIVE_ITEM_IDS: readonly number[] = [...LIVE_ITEMS.keys()];

/** An item of live data of the diagnostic standard, with its scaling. */
export const liveItemOf = (id: LiveItemId): LiveItem => ITEMS[id];

/** Value of an answer's bytes, in the item's unit; undefined where there are too few of them, or the unit says that it has none. */
export function liveValue(item: LiveItem, data: readonly number[]): number | undefined {
  const { bytes, after = 0, perCount, atZero = 0, isSigned } = item;
  const counted = data.slice(after, after + bytes);
  const isAbsent = after > 0 && ((data[0] ?? 0) & 1) === 0;
  if (counted.length < bytes || isAbsent) return undefined;
  const count = counted.reduce((sum, byte) => 256 * sum + byte, 0);
  const whole = 256 ** bytes;
  return atZero + perCount * (isSigned && count >= whole / 2 ? count - whole : count);
}

/** Bytes that answer a value, as whole as the standard sends it; at an end of the scale where it lies past it. */
export function liveBytes(item: LiveItem, value: number): number[] {
  const { bytes, after = 0, perCount, atZero = 0, isSigned } = item;
  const whole = 256 ** bytes;
  const [lowest, highest] = isSigned ? [-whole / 2, whole / 2 - 1] : [0, whole - 1];
  const count = Math.min(highest, Math.max(lowest, Math.round((value - atZero) / perCount)));
  const counted = count < 0 ? count + whole : count;
  const PRESENT = 1;
  return [
    ...Array.from({ length: after }, () => PRESENT),
    ...(bytes === 1 ? [counted] : [counted >> 8, counted & 0xff]),
  ];
}
