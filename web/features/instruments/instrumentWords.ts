import type { Instrument, InstrumentSort } from '@lettura/contract';
import { formatPressure, type PressureUnit } from '@lettura/core/measure/quantity';
import { meterLimitVolts, type DialReadTo } from '@lettura/core/measure/uncertainty';

export const SORT_WORDS: Record<InstrumentSort, string> = {
  meter: 'Meter',
  gauge: 'Gauge',
  'hand-pump': 'Hand pump',
  'live-data': 'Live data',
};

export const READ_TO_WORDS: Record<DialReadTo, string> = {
  division: 'a whole division',
  half: 'half a division',
  quarter: 'a quarter of a division',
};

/** As it stands on the instrument's paper. */
export function accuracyInWords({ accuracy }: Pick<Instrument, 'accuracy'>, unit: PressureUnit): string {
  switch (accuracy.kind) {
    case 'meter':
      return `±(${accuracy.percentOfReading} % of reading + ${accuracy.counts} counts), ${accuracy.displayCounts} counts`;
    case 'gauge':
      return `class ${accuracy.classPercent}, division ${formatPressure(accuracy.divisionKpa, unit)}, read to ${READ_TO_WORDS[accuracy.readTo ?? 'half']}`;
    case 'live-data':
      return `steps of ${accuracy.step}`;
  }
}

const USUAL_VOLTS = 2.5;

/** What that comes to where it is used. */
export function limitsInWords({ accuracy }: Pick<Instrument, 'accuracy'>, unit: PressureUnit): string {
  switch (accuracy.kind) {
    case 'meter':
      return `±${Math.round(meterLimitVolts(USUAL_VOLTS, accuracy) * 1000)} mV at ${USUAL_VOLTS.toFixed(3)} V`;
    case 'gauge':
      return `±${formatPressure((accuracy.classPercent / 100) * accuracy.spanKpa, unit)} anywhere on the dial`;
    case 'live-data':
      return `±${accuracy.step / 2} of the last step`;
  }
}

export function rangeInWords({ sort, lowest, highest }: Instrument, unit: PressureUnit): string {
  if (sort === 'meter') return `${lowest} to ${highest} V`;
  if (sort === 'live-data') return `${lowest} to ${highest}`;
  return `${formatPressure(lowest, unit).replace(` ${unit}`, '')} to ${formatPressure(highest, unit)}`;
}
