/*
 * Generic powertrain codes that touch the circuits of this trade, by the structure of SAE J2012: five codes in a row for one
 * circuit (malfunction, range and performance, low, high, intermittent), and those for tracks that part and for sensor
 * supplies. From memory; the maker's own list comes first.
 */

/** What the unit watches. */
export const CODE_CIRCUITS = [
  'air-flow-a',
  'air-flow-b',
  'manifold-pressure',
  'air-temperature-1',
  'air-temperature-2',
  'charge-temperature',
  'throttle-a',
  'throttle-b',
  'throttle-c',
  'pedal-d',
  'pedal-e',
  'pedal-f',
  'rail-pressure',
  'boost-a',
  'boost-b',
  'exhaust-flow-a',
  'exhaust-flow-b',
  'exhaust-pressure',
  'filter-differential',
  'barometric',
  'refrigerant',
  'runner',
  'tuning-valve',
  'tank-pressure',
  'oil-pressure',
  'supply-a',
  'supply-b',
  'supply-c',
] as const;
export type CodeCircuit = (typeof CODE_CIRCUITS)[number];

/** How it complains. */
export const CODE_SORTS = ['circuit', 'range', 'low', 'high', 'intermittent', 'correlation'] as const;
export type CodeSort = (typeof CODE_SORTS)[number];

export interface KnownCode {
  code: string;
  /** Two where they were found not to go together. */
  circuits: readonly [CodeCircuit, ...CodeCircuit[]];
  sort: CodeSort;
}

const IN_A_ROW: readonly CodeSort[] = ['circuit', 'range', 'low', 'high', 'intermittent'];

const named = (number: number): string => `P${number.toString(16).toUpperCase().padStart(4, '0')}`;

/** From the first number on, one a sort; the standard counts in sixteens. */
const inARow = (first: number, circuit: CodeCircuit, sorts = IN_A_ROW): KnownCode[] =>
  sorts.map((sort, i) => ({ code: named(first + i), circuits: [circuit], sort }));

const apart = (number: number, ...circuits: [CodeCircuit, CodeCircuit]): KnownCode => ({
  code: named(number),
  circuits,
  sort: 'correlation',
});

const LOW_HIGH: readonly CodeSort[] = ['low', 'high'];
const OF_A_SUPPLY: readonly CodeSort[] = ['circuit', 'low', 'high'];
const WITHOUT_INTERMITTENT = IN_A_ROW.slice(0, 4);

const ALL: readonly KnownCode[] = [
  apart(0x0068, 'manifold-pressure', 'throttle-a'),
  apart(0x0069, 'manifold-pressure', 'barometric'),
  ...inARow(0x007a, 'charge-temperature'),
  ...inARow(0x0095, 'air-temperature-2'),
  ...inARow(0x0100, 'air-flow-a'),
  ...inARow(0x010a, 'air-flow-b'),
  ...inARow(0x0105, 'manifold-pressure'),
  ...inARow(0x0110, 'air-temperature-1'),
  ...inARow(0x0120, 'throttle-a'),
  ...inARow(0x0190, 'rail-pressure'),
  ...inARow(0x0220, 'throttle-b'),
  ...inARow(0x0225, 'throttle-c'),
  ...inARow(0x0235, 'boost-a', WITHOUT_INTERMITTENT),
  ...inARow(0x0239, 'boost-b', ['circuit']),
  ...inARow(0x0240, 'boost-b', ['range', 'low', 'high']),
  ...inARow(0x0405, 'exhaust-flow-a', LOW_HIGH),
  ...inARow(0x0407, 'exhaust-flow-b', LOW_HIGH),
  ...inARow(0x0450, 'tank-pressure'),
  ...inARow(0x0470, 'exhaust-pressure'),
  ...inARow(0x0520, 'oil-pressure', WITHOUT_INTERMITTENT),
  ...inARow(0x0530, 'refrigerant', WITHOUT_INTERMITTENT),
  ...inARow(0x0641, 'supply-a', OF_A_SUPPLY),
  ...inARow(0x0651, 'supply-b', OF_A_SUPPLY),
  ...inARow(0x0697, 'supply-c', OF_A_SUPPLY),
  ...inARow(0x2014, 'runner'),
  ...inARow(0x2075, 'tuning-valve'),
  ...inARow(0x2120, 'pedal-d'),
  ...inARow(0x2125, 'pedal-e'),
  ...inARow(0x2130, 'pedal-f'),
  apart(0x2135, 'throttle-a', 'throttle-b'),
  apart(0x2136, 'throttle-a', 'throttle-c'),
  apart(0x2137, 'throttle-b', 'throttle-c'),
  apart(0x2138, 'pedal-d', 'pedal-e'),
  apart(0x2139, 'pedal-d', 'pedal-f'),
  apart(0x2140, 'pedal-e', 'pedal-f'),
  ...inARow(0x2226, 'barometric'),
  ...inARow(0x2452, 'filter-differential'),
];

const BY_CODE = new Map(ALL.map((one) => [one.code, one]));

export const KNOWN_CODES: readonly KnownCode[] = ALL;

/** What a code says by its standard; undefined where this table has none of it. */
export const knownCode = (code: string): KnownCode | undefined => BY_CODE.get(code.toUpperCase());

/** Whether a maker gives it a meaning of its own, which no table here has. */
export const isMakersCode = (code: string): boolean => /^P1|^P3[0-3]|^[BCU][12]/iu.test(code);
