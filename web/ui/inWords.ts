import type { ProvenRepair, Reading } from '@lettura/contract';
import type { MachineState, Target } from '@lettura/core/machine/places';
import type { Evidence, PulsesReading } from '@lettura/core/record/evidence';
import type { Expectation } from '@lettura/core/judge/expectation';
import { formatPressure, fromKpaAbs, type Ambient, type AmbientSource } from '@lettura/core/measure/quantity';
import type { CauseClass } from '@lettura/core/judge/weighing';
import { proofSaid, recordWords, type RecordWords } from '@lettura/words';
import type { Units } from './units.ts';
import { LANGUAGE } from './language.ts';
import { said, t } from './words.ts';

export { gaugeUnit } from '@lettura/words';
export { upperFirst } from './words.ts';

const inUnits = (units: Units): RecordWords => recordWords(LANGUAGE, units);
/** Where no pressure is shown, any unit does. */
const anyUnits = inUnits({ absolute: 'kPa', vacuum: 'kPa' });

/** The value of a reading as it is pinned on the sheet. */
export const valueInWords = (reading: Reading | Evidence | PulsesReading, units: Units): string =>
  inUnits(units).value(reading);
/** The state with the setting of a pump. */
export const conditionsInWords = (state: MachineState, units: Units): string =>
  inUnits(units).conditions(state);
export const ambientSourceInWords = (given: AmbientSource, units: Units): string =>
  inUnits(units).ambient(given);
export const proofInWords = (proof: ProvenRepair, units: Units): string =>
  said(proofSaid(proof, inUnits(units)));
/** What a place should read, in the instrument's own basis: a gauge is expected in vacuum, live data in absolute. */
export const expectationInWords = (
  expectation: Expectation,
  target: Target,
  units: Units,
  ambient: Ambient | undefined,
): string => inUnits(units).expectation(expectation, target, ambient);
export const {
  place: placeInWords,
  work: workInWords,
  followUp: followUpInWords,
  state: briefState,
} = anyUnits;

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
