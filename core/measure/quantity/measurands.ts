/**
 * What a sensor reports, each in the one unit that the core keeps for it. The three pressures are told apart because
 * only ambient pressure connects them.
 */
export const MEASURANDS = {
  'absolute-pressure': { unit: 'kPa' },
  'gauge-pressure': { unit: 'kPa' },
  'differential-pressure': { unit: 'kPa' },
  position: { unit: '%' },
  angle: { unit: '°' },
  'air-flow': { unit: 'g/s' },
} as const;
export type Measurand = keyof typeof MEASURANDS;
export const MEASURAND_NAMES = Object.keys(MEASURANDS) as Measurand[];

/** Whether it is kept in kPa and read in a unit of choice. */
export const isPressure = (
  measurand: Measurand,
): measurand is 'absolute-pressure' | 'gauge-pressure' | 'differential-pressure' =>
  MEASURANDS[measurand].unit === 'kPa';
