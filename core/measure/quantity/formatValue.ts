import { isPressure, MEASURANDS, type Measurand } from './measurands.ts';
import { formatPressure, fromKpa, toKpa, type PressureUnit } from './pressureUnits.ts';

/** Digits after the point that a sensor check resolves. */
const DECIMALS = { '%': 1, '°': 1, 'g/s': 2 } as const;

const BASIS_WORDS = {
  'absolute-pressure': 'abs',
  'gauge-pressure': 'gauge',
  'differential-pressure': 'diff',
} as const;

/** A value with its unit; pressures in the user's. What cannot be a number is a dash, never a NaN on the screen. */
export function formatValue(value: number, measures: Measurand, pressureUnit: PressureUnit): string {
  if (!Number.isFinite(value)) return '–';
  if (isPressure(measures)) return formatPressure(value, pressureUnit);
  const { unit } = MEASURANDS[measures] as { unit: keyof typeof DECIMALS };
  return `${value.toFixed(DECIMALS[unit])} ${unit}`;
}

/** The same with the basis of a pressure, for where a value stands alone. */
export const formatWithBasis = (value: number, measures: Measurand, pressureUnit: PressureUnit): string =>
  isPressure(measures)
    ? `${formatValue(value, measures, pressureUnit)} ${BASIS_WORDS[measures]}`
    : formatValue(value, measures, pressureUnit);

/** The unit that a value of this sort is shown in. */
export const shownUnit = (measures: Measurand, pressureUnit: PressureUnit): string =>
  isPressure(measures) ? pressureUnit : MEASURANDS[measures].unit;

/** From the core's unit to the one shown, and back. */
export const toShown = (value: number, measures: Measurand, pressureUnit: PressureUnit): number =>
  isPressure(measures) ? fromKpa(value, pressureUnit) : value;
/** From a number in the reader's unit to the measurand's own. */
export const fromShown = (shown: number, measures: Measurand, pressureUnit: PressureUnit): number =>
  isPressure(measures) ? toKpa(shown, pressureUnit) : shown;

/** `kPa absolute`, `%`: what the column or field of such a value is called. */
export const unitInWords = (measures: Measurand, pressureUnit: PressureUnit): string =>
  isPressure(measures) ? `${pressureUnit} ${measures.split('-')[0] as string}` : MEASURANDS[measures].unit;

/** With a digit more than a reading gets: a doubt of 0.05 kPa must not be shown as nothing. */
export function formatFine(value: number, measures: Measurand, pressureUnit: PressureUnit): string {
  if (!Number.isFinite(value)) return '–';
  return isPressure(measures)
    ? formatPressure(value, pressureUnit, FINE_STEP_KPA)
    : `${value.toFixed(DECIMALS[MEASURANDS[measures].unit] + 1)} ${MEASURANDS[measures].unit}`;
}
const FINE_STEP_KPA = 0.02;
