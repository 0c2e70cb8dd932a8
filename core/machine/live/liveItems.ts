/** An item of standard live data: what an answer's bytes count in. */
export interface LiveItem {
  name: string;
  unit: 'kPa' | 'rpm' | '°C' | 'g/s' | '%';
  bytes: 1 | 2;
  /** Size of one count, in the unit. */
  perCount: number;
  /** Value of a count of zero. */
  atZero?: number;
}

/** The items that a sensor of this product shows up in: SAE J1979 service 01, numbers and scaling from memory. */
const ITEMS = {
  0x0b: { name: 'Manifold pressure', unit: 'kPa', bytes: 1, perCount: 1 },
  0x0c: { name: 'Engine speed', unit: 'rpm', bytes: 2, perCount: 1 / 4 },
  0x0f: { name: 'Intake air temperature', unit: '°C', bytes: 1, perCount: 1, atZero: -40 },
  0x10: { name: 'Air flow', unit: 'g/s', bytes: 2, perCount: 1 / 100 },
  0x11: { name: 'Throttle position', unit: '%', bytes: 1, perCount: 100 / 255 },
  0x22: { name: 'Rail pressure, relative', unit: 'kPa', bytes: 2, perCount: 0.079 },
  0x23: { name: 'Rail pressure', unit: 'kPa', bytes: 2, perCount: 10 },
  0x33: { name: 'Barometric pressure', unit: 'kPa', bytes: 1, perCount: 1 },
  0x45: { name: 'Relative throttle position', unit: '%', bytes: 1, perCount: 100 / 255 },
  0x49: { name: 'Pedal position D', unit: '%', bytes: 1, perCount: 100 / 255 },
  0x4a: { name: 'Pedal position E', unit: '%', bytes: 1, perCount: 100 / 255 },
} as const satisfies Record<number, LiveItem>;

export type LiveItemId = keyof typeof ITEMS;

export const LIVE_ITEMS: ReadonlyMap<number, LiveItem> = new Map(
  Object.entries(ITEMS).map(([id, item]) => [Number(id), item]),
);

/** In the order of the channels of a decoded stream. */
export const LIVE_ITEM_IDS: readonly number[] = [...LIVE_ITEMS.keys()];

/** An item of live data of the diagnostic standard, with its scaling. */
export const liveItemOf = (id: LiveItemId): LiveItem => ITEMS[id];

/** Value of an answer, in the item's unit. */
export const liveValue = ({ bytes, perCount, atZero = 0 }: LiveItem, a: number, b: number): number =>
  atZero + perCount * (bytes === 1 ? a : 256 * a + b);

/** Count that answers a value, as whole as the standard sends it; at an end of the scale where it lies past it. */
export const liveCount = ({ bytes, perCount, atZero = 0 }: LiveItem, value: number): number =>
  Math.min(256 ** bytes - 1, Math.max(0, Math.round((value - atZero) / perCount)));
