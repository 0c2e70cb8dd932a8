import { type Reading, type TakenReading } from '@lettura/contract';
import type { Expectation } from '@lettura/core/judge/expectation';
import {
  conditionsSaid,
  driveSaid,
  harnessSaid,
  pairSaid,
  plugSaid,
  pointSaid,
  tapSaid,
  type MachineState,
  type SpotOf,
  type Target,
} from '@lettura/core/machine/places';
import { list, plain, say, verbatim, type Message } from '@lettura/core/measure/message';
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
import { roadSaid, followUpSaid } from '@lettura/core/record/followUp';
import { monitorSaid, unitSaid } from '@lettura/core/record/onBoard';
import {
  shownOf,
  spotSaid,
  type AnyEvidence,
  type Evidence,
  type PulsesReading,
} from '@lettura/core/record/evidence';
import { observationOf, type ObservationId } from '@lettura/core/record/observation';
import { workSaid } from '@lettura/core/record/workDone';
import { recordedCause } from './causeInRecord.ts';
import { day } from './dates.ts';
import type { Language } from './languages.ts';
import { wordsFor } from './words.ts';

/** Live data and barometers speak one unit, vacuum gauges usually another: both are shown as the user reads them. */
export interface Units {
  absolute: PressureUnit;
  vacuum: PressureUnit;
}

type FollowUpReading = Extract<Reading, { kind: 'follow-up' }>;
/** What a line of the record is about, without what was read there. */
export type RecordPlace =
  | SpotOf<AnyEvidence>
  | { kind: 'observation'; observation: ObservationId }
  | { kind: 'ambient' | 'withdrawal' | 'work' }
  | Pick<FollowUpReading, 'kind' | 'followUp'>;

/** The lines of a record in the words of one reader. */
export type RecordWords = ReturnType<typeof recordWords>;

const BASIS = { absolute: 'abs', gauge: 'gauge', vacuum: 'vac' } as const;
/** A band from common practice is not sharper than this. */
const EXPECTED_STEP_KPA = 1;
/** A manifold with the engine stopped is at ambient, give or take the doubt of the barometer. */
const OPEN_TO_AIR_KPA = 3;

/** A gauge that counts vacuum is read in one unit, everything else in the other: as asked, as shown, as expected. */
export const gaugeUnit = (basis: PressureBasis, units: Units): PressureUnit =>
  basis === 'vacuum' ? units.vacuum : units.absolute;

export function recordWords(language: Language, units: Units) {
  const words = wordsFor({ language, pressureUnit: units.absolute, vacuumUnit: units.vacuum });
  const said = (message: Message) => words.say(message);
  const pressure = (kpa: number) => verbatim(formatPressure(kpa, units.absolute));

  const ambient = (given: AmbientSource): string => {
    switch (given.source) {
      case 'barometer':
        return said(say('ui.by-barometer', { stationKpaAbs: pressure(given.stationKpaAbs) }));
      case 'vehicle':
        return said(say('ui.vehicles-barometer', { stationKpaAbs: pressure(given.stationKpaAbs) }));
      case 'altitude':
        return said(say('ui.altitude-m', { altitudeM: plain(given.altitudeM) }));
      case 'weather':
        return said(
          say('ui.sea-level-m', {
            seaLevelKpa: pressure(given.seaLevelKpa),
            altitudeM: plain(given.altitudeM),
          }),
        );
    }
  };

  /** What was done, where, and with which parts. */
  const work = (done: Extract<Reading, { kind: 'work' }>): string =>
    said(
      say('ui.work', {
        work: workSaid(done.work),
        at: verbatim(done.at ?? ''),
        hasAt: Boolean(done.at),
        oldPart: verbatim(done.oldPart ?? ''),
        hasOld: Boolean(done.oldPart),
        newPart: verbatim(done.newPart ?? ''),
        hasNew: Boolean(done.newPart),
      }),
    );

  /** What was looked at after the work, as one line of the record. */
  const followUp = ({ followUp: made }: Pick<FollowUpReading, 'followUp'>): string => {
    switch (made.what) {
      case 'codes':
        return made.codes.length === 0 ? said(say('ui.no-code-stored')) : made.codes.join(', ');
      case 'readiness':
        return said(
          made.unfinished.length === 0
            ? say('ui.all-finished')
            : say('ui.not-finished', { monitors: list(made.unfinished.map(monitorSaid)) }),
        );
      case 'road-test':
        return said(say(`ui.complaint-${made.complaint}`, { conditions: roadSaid(made) }));
      case 'recheck':
        return day(made.onDate);
      case 'vehicle':
        return made.units.map((unit) => said(unitSaid(unit))).join(' ');
    }
  };

  /** The value of a reading as it is pinned on the sheet. */
  const value = (reading: Reading | Evidence | PulsesReading): string => {
    if ('state' in reading) return taken(reading);
    switch (reading.kind) {
      case 'observation': {
        const { yes, no } = observationOf(reading.observation);
        return said(reading.holds ? yes : no);
      }
      case 'work':
        return work(reading);
      case 'follow-up':
        return followUp(reading);
      case 'ambient':
        return ambient(reading.ambient);
      case 'withdrawal':
        return said(say('ui.taken-back'));
    }
  };

  /** A gauge is shown on the basis that it counts in, and live data with the digits that it has. */
  const taken = (reading: TakenReading | Evidence | PulsesReading): string => {
    if (reading.kind === 'gauge')
      return `${formatPressure(reading.pressureKpa, gaugeUnit(reading.basis, units))} ${BASIS[reading.basis]}`;
    if (reading.kind !== 'scan') return words.value(shownOf(reading));
    return reading.measures === 'absolute-pressure'
      ? said(say('ui.abs', { value: verbatim(formatPressure(reading.value, units.absolute, SCAN_STEP_KPA)) }))
      : formatWithBasis(reading.value, reading.measures, units.absolute);
  };

  const place = (of: RecordPlace): string => {
    if ('place' in of) return words.title(pointSaid(of));
    if ('from' in of) return words.title(pairSaid(of.from, of.to));
    switch (of.kind) {
      case 'gauge':
        return said(say('ui.gauge', { tap: tapSaid(of.tap) }));
      case 'scan':
        return said(say('ui.live-data'));
      case 'live-volts':
        return words.title(spotSaid(of));
      case 'engine-flow':
        return said(say('ui.engine-flow'));
      case 'observation':
        return said(observationOf(of.observation).question);
      case 'ambient':
        return said(say('ui.ambient-pressure'));
      case 'work':
        return said(say('ui.work-done'));
      case 'follow-up':
        return words.title(followUpSaid(of.followUp.what));
      case 'withdrawal':
        return said(say('ui.taken-back'));
    }
  };

  /** The connected plug goes without saying. */
  const state = (of: MachineState): string =>
    [
      words.value(driveSaid(of)),
      ...(of.plug === 'connected' ? [] : [said(plugSaid(of.plug))]),
      ...harnessSaid(of.harness).list.map(words.value),
    ].join(', ');

  /** The state with the setting of a pump, which tells one step from the next. */
  const conditions = (of: MachineState): string => words.value(conditionsSaid(of, true));

  /** What a place should read, in the instrument's own basis: a gauge is expected in vacuum, live data in absolute. */
  const expectation = (expected: Expectation, target: Target, air: Ambient | undefined): string => {
    const { lowest, highest } = expected;
    if (expected.of === 'volts') {
      return said(
        highest < 0.6
          ? say('ui.to-mv', {
              value: plain(Math.max(0, Math.round(lowest * 1000))),
              highest: plain(Math.round(highest * 1000)),
            })
          : say('ui.to-v', { lowest: verbatim(lowest.toFixed(2)), highest: verbatim(highest.toFixed(2)) }),
      );
    }
    if (expected.of !== 'absolute-pressure') {
      const { of } = expected;
      const bare = formatValue(lowest, of, units.absolute).replace(/ \S+$/u, '');
      const upper = formatWithBasis(highest, of, units.absolute);
      return said(
        upper.startsWith(`${bare} `)
          ? say('ui.about', { upper: verbatim(upper) })
          : say('ui.to', { bare: verbatim(bare), upper: verbatim(upper) }),
      );
    }
    // A gauge shows no absolute pressure: below ambient it counts vacuum, above it pressure.
    const basis =
      target.kind !== 'gauge' || !air
        ? 'absolute'
        : highest <= air.pressureKpaAbs + OPEN_TO_AIR_KPA
          ? 'vacuum'
          : 'gauge';
    const unit = gaugeUnit(basis, units);
    const ends = [lowest, highest].map((kpa) =>
      basis === 'absolute' || !air ? kpa : fromKpaAbs(kpa, basis, air.pressureKpaAbs),
    );
    const [low = '', high = ''] = (basis === 'vacuum' ? ends.reverse() : ends).map((kpa) =>
      (basis === 'gauge' ? fromKpa(kpa, unit) : Math.max(0, fromKpa(kpa, unit))).toFixed(
        pressureDecimals(unit, EXPECTED_STEP_KPA),
      ),
    );
    // A band narrower than the digits shown is no band to read.
    const shown = said(
      low === high
        ? say('ui.about-2', { low: verbatim(low) })
        : say('ui.to-2', { low: verbatim(low), high: verbatim(high) }),
    );
    return `${shown} ${unit} ${BASIS[basis]}`;
  };

  return {
    ambient,
    work,
    followUp,
    value,
    place,
    state,
    conditions,
    expectation,
    cause: (of: string) => said(recordedCause(of)),
  };
}
