import type { Instrument, InstrumentSort } from '@lettura/contract';
import { formatPressure, type PressureUnit } from '@lettura/core/measure/quantity';
import { meterLimitVolts, type DialReadTo } from '@lettura/core/measure/uncertainty';
import { t } from '../../ui/words.ts';

export const SORT_WORDS: Record<InstrumentSort, string> = {
  meter: t('ui-instruments.meter'),
  gauge: t('ui-instruments.gauge'),
  'hand-pump': t('ui-instruments.hand-pump'),
  'live-data': t('ui-instruments.live-data'),
};

export const READ_TO_WORDS: Record<DialReadTo, string> = {
  division: t('ui-instruments.whole-division'),
  half: t('ui-instruments.half-division'),
  quarter: t('ui-instruments.quarter-division'),
};

/** As it stands on the instrument's paper. */
export function accuracyInWords({ accuracy }: Pick<Instrument, 'accuracy'>, unit: PressureUnit): string {
  switch (accuracy.kind) {
    case 'meter':
      return t('ui-instruments.reading-counts-counts', {
        percentOfReading: accuracy.percentOfReading,
        counts: accuracy.counts,
        displayCounts: accuracy.displayCounts,
      });
    case 'gauge':
      return t('ui-instruments.class-division-read', {
        classPercent: accuracy.classPercent,
        divisionKpa: formatPressure(accuracy.divisionKpa, unit),
        readtowords: READ_TO_WORDS[accuracy.readTo ?? 'half'],
      });
    case 'live-data':
      return t('ui-instruments.steps-of', { step: accuracy.step });
  }
}

const USUAL_VOLTS = 2.5;

/** What that comes to where it is used. */
export function limitsInWords({ accuracy }: Pick<Instrument, 'accuracy'>, unit: PressureUnit): string {
  switch (accuracy.kind) {
    case 'meter':
      return t('ui-instruments.mv-v', {
        meterLimitVolts: Math.round(meterLimitVolts(USUAL_VOLTS, accuracy) * 1000),
        usualvolts: USUAL_VOLTS.toFixed(3),
      });
    case 'gauge':
      return t('ui-instruments.anywhere-dial', {
        classPercent: formatPressure((accuracy.classPercent / 100) * accuracy.spanKpa, unit),
      });
    case 'live-data':
      return t('ui-instruments.last-step', { step: accuracy.step / 2 });
  }
}

export function rangeInWords({ sort, lowest, highest }: Instrument, unit: PressureUnit): string {
  if (sort === 'meter') return t('ui-instruments.to-v', { lowest, highest });
  if (sort === 'live-data') return t('ui-instruments.to', { lowest, highest });
  return t('ui-instruments.to', {
    lowest: formatPressure(lowest, unit).replace(` ${unit}`, ''),
    highest: formatPressure(highest, unit),
  });
}
