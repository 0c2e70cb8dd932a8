import type { Lane, Place, GaugeTap } from '../../machine/places/index.ts';
import { type PressureBasis } from '../../measure/quantity/index.ts';

const LANE_NAMES = new Map<string, Lane>(
  Object.entries({
    ref: 'reference',
    reference: 'reference',
    sig: 'signal',
    signal: 'signal',
    ret: 'return',
    return: 'return',
    gnd: 'return',
    ground: 'return',
    sig2: 'second-signal',
    second: 'second-signal',
    temp: 'second-signal',
    ref2: 'second-reference',
    ret2: 'second-return',
    feed: 'battery-feed',
    batt: 'battery-feed',
  }),
);
const PLACE_NAMES = new Map<string, Place>(
  Object.entries({
    unit: 'unit',
    ecu: 'unit',
    conn: 'connector',
    connector: 'connector',
    inline: 'connector',
    plug: 'plug',
    sensor: 'plug',
  }),
);
const PRESSURE_NAMES = new Map<string, 'gauge' | 'scan' | 'ambient'>(
  Object.entries({
    gauge: 'gauge',
    scan: 'scan',
    live: 'scan',
    baro: 'ambient',
    barometer: 'ambient',
    ambient: 'ambient',
  }),
);
const BASIS_NAMES = new Map<string, PressureBasis>(
  Object.entries({
    vac: 'vacuum',
    vacuum: 'vacuum',
    abs: 'absolute',
    absolute: 'absolute',
    g: 'gauge',
  }),
);

export interface Words {
  lane?: Lane;
  /** The first named, and the second where a stretch is meant. */
  place?: Place;
  toPlace?: Place;
  pressure?: 'gauge' | 'scan' | 'ambient';
  tap?: GaugeTap;
  basis?: PressureBasis;
  value: string;
  /** Named beside another: only one place is read at a time. */
  second?: string;
}

/** The words of an entry by what each says; what no list knows is the value. */
export function sortWords(text: string): Words {
  const words: Words = { value: '' };
  const rest: string[] = [];
  for (const word of text.trim().split(/\s+/u)) {
    const name = word.toLowerCase();
    const lane = LANE_NAMES.get(name);
    const place = PLACE_NAMES.get(name);
    const pressure = PRESSURE_NAMES.get(name);
    const basis = BASIS_NAMES.get(name);
    // The word "gauge" names the instrument first, and after that the basis.
    if (name === 'gauge' && words.pressure) words.basis = 'gauge';
    else if (name === 'manifold') words.tap = 'manifold';
    else if (name === 'hose') words.tap = 'sensor-hose';
    else if (name === 'service' || name === 'port') words.tap = 'service-port';
    // Live data has volts of a signal as well: `scan sig2 0.46`.
    else if (lane && (words.lane || (words.pressure && words.pressure !== 'scan'))) words.second = word;
    else if (lane) words.lane = lane;
    else if (place && words.place) words.toPlace = place;
    else if (place) words.place = place;
    else if (pressure && (words.pressure || (words.lane && pressure !== 'scan'))) words.second = word;
    else if (pressure) words.pressure = pressure;
    else if (basis) words.basis = basis;
    else rest.push(word);
  }
  words.value = rest.join(' ');
  return words;
}

/** With a unit of resistance, or OL, it is one; else volts. */
export const OHMS_SAID = /(Ω|\u2126|ohms?|k|M|R|[oO0]\.?[lL]\.?)$/u;
