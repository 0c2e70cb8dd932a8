import { NOT_PROVEN, type JobVerdict, type Reading } from '@lettura/contract';
import {
  driveSaid,
  harnessSaid,
  pairSaid,
  plugSaid,
  pointSaid,
  tapSaid,
  type MachineState,
  type Spot,
  type Target,
} from '@lettura/core/machine/places';
import { observationOf, type ObservationId } from '@lettura/core/record/observation';
import { workSaid } from '@lettura/core/record/workDone';
import type { Expectation } from '@lettura/core/judge/expectation';
import {
  formatPressure,
  formatValue,
  formatWithBasis,
  fromKpa,
  fromKpaAbs,
  pressureDecimals,
  type Ambient,
  type AmbientSource,
  type PressureBasis,
  type PressureUnit,
} from '@lettura/core/measure/quantity';
import { SCAN_STEP_KPA } from '@lettura/core/measure/uncertainty';
import { titleOf, type CauseClass } from '@lettura/core/judge/weighing';
import type { Units } from './units.ts';
import { voltsInWords, ohmsInWords } from './numbersInWords.ts';
import { said, valueSaid, upperFirst, t } from './words.ts';

export { upperFirst } from './words.ts';

/** A gauge that counts vacuum is read in one unit, everything else in the other: as asked, as shown, as expected. */
export const gaugeUnit = (basis: PressureBasis, units: Units): PressureUnit =>
  basis === 'vacuum' ? units.vacuum : units.absolute;

const BASIS = { absolute: 'abs', gauge: 'gauge', vacuum: 'vac' } as const;

/** The value of a reading as it is pinned on the sheet. */
export function valueInWords(reading: Reading, units: Units): string {
  switch (reading.kind) {
    case 'wire':
    case 'between':
      return voltsInWords(reading.volts);
    case 'ohms':
      return reading.ohms === null ? 'OL' : ohmsInWords(reading.ohms);
    case 'gauge':
      return `${formatPressure(reading.pressureKpa, gaugeUnit(reading.basis, units))} ${BASIS[reading.basis]}`;
    case 'scan':
      return reading.measures === 'absolute-pressure'
        ? t('ui.abs', { value: formatPressure(reading.value, units.absolute, SCAN_STEP_KPA) })
        : formatWithBasis(reading.value, reading.measures, units.absolute);
    case 'observation': {
      const { yes, no } = observationOf(reading.observation);
      return said(reading.holds ? yes : no);
    }
    case 'work':
      return workInWords(reading);
    case 'ambient':
      return ambientSourceInWords(reading.ambient, units);
    case 'withdrawal':
      return t('ui.taken-back');
  }
}

export function placeInWords(
  reading:
    Spot | { kind: 'observation'; observation: ObservationId } | { kind: 'ambient' | 'withdrawal' | 'work' },
): string {
  switch (reading.kind) {
    case 'wire':
      return upperFirst(said(pointSaid(reading)));
    case 'between':
    case 'ohms':
      return upperFirst(said(pairSaid(reading.from, reading.to)));
    case 'gauge':
      return t('ui.gauge', { tap: said(tapSaid(reading.tap)) });
    case 'scan':
      return t('ui.live-data');
    case 'observation':
      return said(observationOf(reading.observation).question);
    case 'ambient':
      return t('ui.ambient-pressure');
    case 'work':
      return t('ui.work-done');
    case 'withdrawal':
      return 'Reading';
  }
}

/** What was done, where, and with which parts. */
export const workInWords = ({ work, at, oldPart, newPart }: Extract<Reading, { kind: 'work' }>): string =>
  t('ui.work', {
    work: said(workSaid(work)),
    at: at ?? '',
    hasAt: Boolean(at),
    oldPart: oldPart ?? '',
    hasOld: Boolean(oldPart),
    newPart: newPart ?? '',
    hasNew: Boolean(newPart),
  });

export function ambientSourceInWords(given: AmbientSource, units: Units): string {
  switch (given.source) {
    case 'barometer':
      return t('ui.by-barometer', { stationKpaAbs: formatPressure(given.stationKpaAbs, units.absolute) });
    case 'vehicle':
      return t('ui.vehicles-barometer', {
        stationKpaAbs: formatPressure(given.stationKpaAbs, units.absolute),
      });
    case 'altitude':
      return t('ui.altitude-m', { altitudeM: given.altitudeM });
    case 'weather':
      return t('ui.sea-level-m', {
        seaLevelKpa: formatPressure(given.seaLevelKpa, units.absolute),
        altitudeM: given.altitudeM,
      });
  }
}

/** A band from common practice is not sharper than this. */
const EXPECTED_STEP_KPA = 1;

/** What a place should read, in the instrument's own basis: a gauge is expected in vacuum, live data in absolute. */
export function expectationInWords(
  expectation: Expectation,
  target: Target,
  units: Units,
  ambient: Ambient | undefined,
): string {
  const { lowest, highest } = expectation;
  if (expectation.of === 'volts') {
    if (highest < 0.6)
      return t('ui.to-mv', {
        value: Math.max(0, Math.round(lowest * 1000)),
        highest: Math.round(highest * 1000),
      });
    return t('ui.to-v', { lowest: lowest.toFixed(2), highest: highest.toFixed(2) });
  }
  if (expectation.of !== 'absolute-pressure') {
    const { of } = expectation;
    const bare = formatValue(lowest, of, units.absolute).replace(/ \S+$/u, '');
    const upper = formatWithBasis(highest, of, units.absolute);
    return upper.startsWith(`${bare} `) ? t('ui.about', { upper }) : t('ui.to', { bare, upper });
  }
  // A gauge shows no absolute pressure: below ambient it counts vacuum, above it pressure.
  const basis =
    target.kind !== 'gauge' || !ambient
      ? 'absolute'
      : highest <= ambient.pressureKpaAbs + OPEN_TO_AIR_KPA
        ? 'vacuum'
        : 'gauge';
  const unit = gaugeUnit(basis, units);
  const ends = [lowest, highest].map((kpa) =>
    basis === 'absolute' || !ambient ? kpa : fromKpaAbs(kpa, basis, ambient.pressureKpaAbs),
  );
  const [low = '', high = ''] = (basis === 'vacuum' ? ends.reverse() : ends).map((kpa) =>
    (basis === 'gauge' ? fromKpa(kpa, unit) : Math.max(0, fromKpa(kpa, unit))).toFixed(
      pressureDecimals(unit, EXPECTED_STEP_KPA),
    ),
  );
  // A band narrower than the digits shown is no band to read.
  const shown = low === high ? t('ui.about-2', { low }) : t('ui.to-2', { low, high });
  return `${shown} ${unit} ${BASIS[basis]}`;
}

/** A manifold with the engine stopped is at ambient, give or take the doubt of the barometer. */
const OPEN_TO_AIR_KPA = 3;

/** The connected plug goes without saying. */
export const briefState = (state: MachineState): string =>
  [
    valueSaid(driveSaid(state)),
    ...(state.plug === 'connected' ? [] : [said(plugSaid(state.plug))]),
    ...harnessSaid(state.harness).list.map(valueSaid),
  ].join(', ');

export const causeInWords = (cause: JobVerdict['cause']): string =>
  cause === NOT_PROVEN ? t('ui.not-proven-yet') : said(titleOf(cause));

/** A pressure on the vacuum scale; above ambient it says so instead of showing a minus. */
export function vacuumInWords(kpaAbs: number, ambient: Ambient, units: Units): string {
  const vacuumKpa = fromKpaAbs(kpaAbs, 'vacuum', ambient.pressureKpaAbs);
  const size = formatPressure(Math.abs(vacuumKpa), units.vacuum);
  return vacuumKpa < 0 ? t('ui.above-ambient', { size }) : t('ui.of-vacuum', { size });
}

const CLASS_WORDS: Record<CauseClass, string> = {
  sensor: t('ui.sensor'),
  wire: t('ui.wire'),
  'control-unit': t('ui.control-unit'),
  physical: t('ui.physical-cause'),
  'wrong-part': t('ui.wrong-part'),
  nothing: t('ui.nothing-found'),
  unlisted: t('ui.not-on-the-list'),
};
export const classInWords = (of: CauseClass): string => CLASS_WORDS[of];

const AGE = new Intl.RelativeTimeFormat('en-GB', { style: 'narrow' });

export function ageInWords(instant: string, nowMs: number): string {
  const minutes = Math.round((nowMs - Date.parse(instant)) / 60_000);
  if (minutes < 1) return t('ui.just-now');
  if (minutes < 60) return AGE.format(-minutes, 'minute');
  if (minutes < 48 * 60) return AGE.format(-Math.round(minutes / 60), 'hour');
  return AGE.format(-Math.round(minutes / 1440), 'day');
}

const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const FULL_DATE = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
});
const DAY_AND_CLOCK = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});
export const clockTime = (instant: string): string => CLOCK.format(new Date(instant));
export const dayAndClock = (instant: string): string => DAY_AND_CLOCK.format(new Date(instant));
export const dayAndTime = (instant: string): string => FULL_DATE.format(new Date(instant));
