import type { Evidence } from '@lettura/core/record/evidence';
import { formatPressure, formatWithBasis } from '@lettura/core/measure/quantity';
import { voltsInWords } from '../../ui/numbersInWords.ts';
import type { Units } from '../../ui/units.ts';

/** What a reading says, in the reader's units. */
export function evidenceInWords(reading: Evidence, units: Units): string {
  switch (reading.kind) {
    case 'wire':
      return voltsInWords(reading.volts);
    case 'gauge':
      return `${formatPressure(reading.pressureKpa, reading.basis === 'absolute' ? units.absolute : units.vacuum)} ${reading.basis}`;
    case 'scan':
      return formatWithBasis(reading.value, reading.measures, units.absolute);
  }
}
