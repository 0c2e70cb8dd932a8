import { isPressure, MEASURANDS, type Measurand, type PressureUnit } from '@lettura/core/measure/quantity';
import { t } from './words.ts';

/** `kPa absolute`, `%`: what the column or field of such a value is called. */
export const unitInWords = (measures: Measurand, pressureUnit: PressureUnit): string =>
  isPressure(measures)
    ? t('ui.unit-of-pressure', {
        unit: `${pressureUnit}`,
        basis: BASIS[measures],
      })
    : MEASURANDS[measures].unit;

const BASIS = {
  'absolute-pressure': 'absolute',
  'gauge-pressure': 'gauge',
  'differential-pressure': 'differential',
} as const;
