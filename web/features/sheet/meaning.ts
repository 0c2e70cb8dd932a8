import { isPulses } from '@lettura/core/machine/places';
import type { Evidence } from '@lettura/core/record/evidence';
import { type Expectation, type Fit } from '@lettura/core/judge/expectation';
import {
  formatPressure,
  formatValue,
  formatWithBasis,
  isPressure,
  toKpaAbs,
  measurandSaid,
} from '@lettura/core/measure/quantity';
import {
  countedValue,
  fitOfCounted,
  fitOfReading,
  valueOfSignal,
  signalAtRail,
  type CaseFile,
  type SeenPulses,
  type SeenReading,
} from '@lettura/core/judge/checks';
import { vacuumInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';
import { said, t } from '../../ui/words.ts';
import { problemSaid } from '@lettura/core/measure/problem';
import type { MeasuredValue } from '@lettura/core/measure/uncertainty';
import { say, verbatim } from '@lettura/core/measure/message';

export interface Meaning {
  expectation: Expectation | undefined;
  fit: Fit | undefined;
  /** The value as a pressure, where it is one; or why it is not. */
  conversion: string | undefined;
}

/** What a reading says at once, before anything is weighed. */
export function meaningOf(reading: SeenReading | SeenPulses, caseFile: CaseFile, units: Units): Meaning {
  if (isPulses(reading))
    return {
      expectation: undefined,
      fit: fitOfCounted(reading, caseFile),
      conversion: countedInWords(reading, caseFile, units),
    };
  return {
    ...fitOfReading(reading, caseFile),
    conversion: conversionOf(reading, caseFile, units),
  };
}

function conversionOf(reading: SeenReading, caseFile: CaseFile, units: Units): string | undefined {
  if (reading.kind === 'wire') {
    const converts =
      reading.lane === 'signal' &&
      reading.state.harness === undefined &&
      reading.state.plug === 'connected' &&
      reading.state.engine !== 'key-off';
    return converts ? signalAsValue({ ...reading, id: 'unsaved' }, caseFile, units) : undefined;
  }
  if (reading.kind === 'live-volts') return undefined;
  if (reading.kind === 'scan') return inEveryBasis(reading.value, caseFile, units);
  const { measures } = caseFile.profile;
  if (measures === 'gauge-pressure' || measures === 'differential-pressure') {
    return reading.basis === 'absolute' ? t('ui-sheet.sensor-counts-ambient-type-gauge') : undefined;
  }
  if (!caseFile.ambient) return t('ui-sheet.absolute-pressure-follows-once-ambient');
  const kpaAbs = toKpaAbs(reading, caseFile.ambient.pressureKpaAbs);
  return kpaAbs.ok ? inEveryBasis(kpaAbs.value, caseFile, units) : said(problemSaid(kpaAbs.problem));
}

/** What a meter counted as a value; nothing where it stands, or says nothing of one. */
function countedInWords(reading: SeenPulses, caseFile: CaseFile, units: Units): string | undefined {
  const counted = countedValue(caseFile, reading);
  return counted && withDoubt(counted, caseFile, units);
}

const withDoubt = (
  { value, expandedUncertainty }: Pick<MeasuredValue, 'value' | 'expandedUncertainty'>,
  caseFile: CaseFile,
  units: Units,
): string =>
  `${inEveryBasis(value, caseFile, units)} (±${formatValue(expandedUncertainty, caseFile.profile.measures, units.absolute)}, k = 2)`;

function signalAsValue(
  signal: Extract<Evidence, { kind: 'wire' }>,
  caseFile: CaseFile,
  units: Units,
): string {
  const { measures } = caseFile.profile;
  const rail = signalAtRail(signal, caseFile);
  if (rail)
    return t('ui-sheet.past-circuit-limit-no-gives', {
      rail,
      which: isPressure(measures) ? 'pressure' : said(measurandSaid(measures)),
    });
  const sensor = valueOfSignal(caseFile, signal);
  if (!sensor.ok) return said(problemSaid(sensor.problem));
  const { own, assumed, several, supplyOutside } = sensor.value;
  const { supplyVolts } = caseFile.profile;
  const show = (value: number) => formatValue(value, measures, units.absolute);
  const value = several
    ? t('ui-sheet.anything-curve-voltage-more-than', {
        lowest: show(several.lowest),
        highest: show(several.highest),
      })
    : own.bound
      ? t('ui-sheet.end-sensor-can-show', {
          say: said(
            say('compare.bound', {
              bound: own.bound === 'at-or-above' ? 'above' : 'below',
              value: verbatim(inEveryBasis(own.value, caseFile, units)),
            }),
          ),
        })
      : withDoubt(own, caseFile, units);
  return [
    value,
    supplyOutside && supplyVolts
      ? t('ui-sheet.part-made-v-supply-outside', { lowest: supplyVolts.lowest, highest: supplyVolts.highest })
      : '',
    assumed.length > 0
      ? t('ui-sheet.not-measured-yet-nominal-taken', { assumed: assumed.join(' and ') })
      : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

function inEveryBasis(value: number, { ambient, profile }: CaseFile, units: Units): string {
  if (profile.measures !== 'absolute-pressure')
    return formatWithBasis(value, profile.measures, units.absolute);
  const absolute = t('ui-sheet.absolute', { value: formatPressure(value, units.absolute) });
  return ambient ? `${absolute} = ${vacuumInWords(value, ambient, units)}` : absolute;
}
