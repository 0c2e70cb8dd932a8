import { say, verbatim } from '../../measure/message/index.ts';
import type { Lane, Place, ProbePoint, Target, GaugeTap } from '../../machine/places/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';
import {
  isPressure,
  measurandSaid,
  MEASURANDS,
  parseOhms,
  parseReading,
  type Measurand,
  type PressureBasis,
  type PressureUnit,
  type ReadingWarning,
} from '../../measure/quantity/index.ts';
import type { ReadingFault } from '../../measure/quantity/parseReading.ts';

/** What one line of typing says. The state of the machine and the time are the sheet's to add. */
export type Entry =
  | { kind: 'wire'; lane: Lane; place: Place; volts: number; warnings: ReadingWarning[] }
  | { kind: 'between'; from: ProbePoint; to: ProbePoint; volts: number; warnings: ReadingWarning[] }
  | { kind: 'ohms'; from: ProbePoint; to: ProbePoint; ohms: number | null; warnings: ReadingWarning[] }
  | { kind: 'gauge'; tap: GaugeTap; pressureKpa: number; basis: PressureBasis; warnings: ReadingWarning[] }
  | { kind: 'scan'; measures: Measurand; value: number; warnings: ReadingWarning[] }
  | { kind: 'ambient'; stationKpaAbs: number; warnings: ReadingWarning[] };

export type EntryFault =
  ReadingFault | 'no-target' | 'two-targets' | 'wrong-basis' | 'place-needs-wire' | 'one-place' | 'not-ohms';

export interface EntryDefaults {
  /** The point in hand: where a bare number goes. */
  selected: Target | undefined;
  /** What a bare absolute pressure (live data, barometer) is taken as. */
  pressureUnit: PressureUnit;
  /** What a bare number on a gauge is taken as. */
  gaugeUnit: PressureUnit;
  /** What the sensor in hand reports: the unit of live data, and the way its gauge counts. */
  measures: Measurand;
  /** More than any pressure here, by the sensor's range; a manifold's unless given. */
  highestKpa?: number | undefined;
}

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

interface Words {
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

/**
 * One field that understands how technicians speak: `sig plug 2.31`, `ref ecu 4.98`, `ret 12mV`,
 * `gauge 16.5 inHg vac`, `scan 47 kPa`, `baro 100.9`, or a bare number for the point in hand. Two places make a
 * stretch of wire: `ret unit plug 34mV`, `ret unit plug 4.8 ohm`.
 */
export function quickEntry(text: string, defaults: EntryDefaults): Result<Entry, EntryFault> {
  const { selected, pressureUnit, gaugeUnit, measures, highestKpa } = defaults;
  const words = sortWords(text);
  if (words.second !== undefined) {
    return fail(
      'two-targets',
      say('entry.names-two-things-once-second', { second: verbatim(words.second) }),
      say('entry.type-one-line-sig-0'),
    );
  }
  if (words.lane && words.place && words.toPlace)
    return stretchEntry(words.lane, words.place, words.toPlace, words.value);
  const target = targetOf(words, selected, measures);
  if (!target.ok) return target;
  if (target.value.kind === 'wire') {
    const reading = parseReading(words.value, 'V');
    if (!reading.ok) return reading;
    const { value: volts, warnings: all } = reading.value;
    // Millivolts are what a return should show, and 12 V what a battery feed should.
    const usual = { return: 'millivolts', 'battery-feed': 'millivolts-suspected' } as const;
    const { lane } = target.value;
    const warnings = all.filter(({ code }) => !(lane in usual) || code !== usual[lane as keyof typeof usual]);
    return ok({ ...target.value, volts, warnings });
  }
  if (target.value.kind === 'scan' && !isPressure(measures)) {
    const shown = parseReading(words.value, MEASURANDS[measures].unit);
    return shown.ok ? ok({ kind: 'scan', measures, value: shown.value.value, warnings: [] }) : shown;
  }
  const reading = parseReading(
    words.value,
    target.value.kind === 'gauge' ? gaugeUnit : pressureUnit,
    target.value.kind === 'ambient' ? undefined : highestKpa,
  );
  if (!reading.ok) return reading;
  const { value: pressureKpa, warnings } = reading.value;
  if (target.value.kind === 'gauge') {
    return gaugeEntry(target.value.tap, pressureKpa, { basis: words.basis, measures, warnings });
  }
  if (target.value.kind === 'scan' && measures !== 'absolute-pressure') {
    return words.basis === 'absolute' || words.basis === 'vacuum'
      ? fail(
          'wrong-basis',
          say('entry.sensor-reports', { words: measurandSaid(measures) }),
          say('entry.type-value-live-data-shows'),
        )
      : ok({ kind: 'scan', measures, value: pressureKpa, warnings });
  }
  return absoluteEntry(target.value.kind, pressureKpa, words.basis, warnings);
}

function sortWords(text: string): Words {
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
    else if (lane && (words.lane || words.pressure)) words.second = word;
    else if (lane) words.lane = lane;
    else if (place && words.place) words.toPlace = place;
    else if (place) words.place = place;
    else if (pressure && (words.lane || words.pressure)) words.second = word;
    else if (pressure) words.pressure = pressure;
    else if (basis) words.basis = basis;
    else rest.push(word);
  }
  words.value = rest.join(' ');
  return words;
}

/** With a unit of resistance, or OL, it is one; else volts. */
const OHMS_SAID = /(Ω|\u2126|ohms?|k|M|R|[oO0]\.?[lL]\.?)$/u;

function stretchEntry(lane: Lane, from: Place, to: Place, value: string): Result<Entry, EntryFault> {
  if (from === to)
    return fail('one-place', say('entry.both-ends-same-place'), say('entry.name-two-ret-unit-plug'));
  return betweenEntry(
    OHMS_SAID.test(value) ? 'ohms' : 'between',
    { lane, place: from },
    { lane, place: to },
    value,
  );
}

/** A value between two points, whose kind is known. */
export function betweenEntry(
  kind: 'between' | 'ohms',
  from: ProbePoint,
  to: ProbePoint,
  value: string,
): Result<Entry, EntryFault> {
  if (kind === 'ohms') {
    const ohms = parseOhms(value);
    return ohms.ok
      ? ok({ kind, from, to, ohms: Number.isFinite(ohms.value) ? ohms.value : null, warnings: [] })
      : ohms;
  }
  const reading = parseReading(value, 'V');
  if (!reading.ok) return reading;
  const { value: volts, warnings } = reading.value;
  // Against battery negative it is the reading of one point.
  if (to === 'battery-negative' && typeof from !== 'string' && from.place !== 'pin')
    return ok({ kind: 'wire', lane: from.lane, place: from.place, volts, warnings });
  // Millivolts and either sign are what a drop should show.
  return ok({
    kind,
    from,
    to,
    volts,
    warnings: warnings.filter(({ code }) => code === 'millivolts-suspected'),
  });
}

type EntryTarget = Target | { kind: 'ambient' };

function targetOf(
  words: Words,
  selected: Target | undefined,
  measures: Measurand,
): Result<EntryTarget, EntryFault> {
  const ofPressure = words.basis ?? (words.tap && 'a gauge');
  if (ofPressure && words.lane)
    return fail(
      'wrong-basis',
      say('entry.belongs-pressure-wire-volts', { text: verbatim(ofPressure) }),
      say('entry.type-wire-volts-gauge-gauge'),
    );
  // A basis alone can only be of a gauge, whatever wire is in hand: “vacuum 16” is not 16 V.
  if (ofPressure && !words.pressure && selected?.kind !== 'gauge' && selected?.kind !== 'scan')
    return isPressure(measures)
      ? ok({ kind: 'gauge', tap: words.tap ?? 'sensor-hose' })
      : fail('no-target', say('entry.showed-pressure'), say('entry.name-gauge-manifold-16-5'));
  if (words.lane) return ok({ kind: 'wire', lane: words.lane, place: words.place ?? 'plug' });
  if (words.place) {
    if (selected?.kind === 'wire') return ok({ ...selected, place: words.place });
    return fail('place-needs-wire', say('entry.which-wire-is-that'), say('entry.put-ref-sig-ret-first'));
  }
  if (words.pressure === 'gauge') return ok({ kind: 'gauge', tap: words.tap ?? 'sensor-hose' });
  if (words.pressure) return ok({ kind: words.pressure });
  if (selected) return ok(selected);
  return fail('no-target', say('entry.where-read'), say('entry.tap-point-first-name-sig'));
}

function gaugeEntry(
  tap: GaugeTap,
  pressureKpa: number,
  {
    basis,
    measures,
    warnings,
  }: { basis: PressureBasis | undefined; measures: Measurand; warnings: ReadingWarning[] },
): Result<Entry, EntryFault> {
  if (basis === 'vacuum' && pressureKpa < 0) {
    return fail(
      'wrong-basis',
      say('entry.vacuum-counted-downwards-already'),
      say('entry.type-without-minus-sign'),
    );
  }
  if (basis === 'absolute' && pressureKpa < 0) {
    return fail('wrong-basis', say('entry.absolute-pressure-never-negative'), say('entry.check-sign-basis'));
  }
  // A manifold's gauge counts vacuum unless it shows a minus: −0.5 bar is 0.5 bar of vacuum. Elsewhere gauges count up.
  const assumed = measures === 'absolute-pressure' && pressureKpa >= 0 ? 'vacuum' : 'gauge';
  return ok({ kind: 'gauge', tap, pressureKpa, basis: basis ?? assumed, warnings });
}

function absoluteEntry(
  kind: 'scan' | 'ambient',
  pressureKpa: number,
  basis: PressureBasis | undefined,
  warnings: ReadingWarning[],
): Result<Entry, EntryFault> {
  if ((basis && basis !== 'absolute') || pressureKpa < 0) {
    return fail(
      'wrong-basis',
      kind === 'scan'
        ? say('entry.live-data-shows-manifold-pressure')
        : say('entry.barometer-reads-absolute-pressure'),
      say('entry.type-absolute-value-without-vac'),
    );
  }
  return ok(
    kind === 'scan'
      ? { kind, measures: 'absolute-pressure', value: pressureKpa, warnings }
      : { kind, stationKpaAbs: pressureKpa, warnings },
  );
}
