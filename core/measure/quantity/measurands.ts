/**
 * What a sensor reports, each in the one unit that the core keeps for it. The three pressures are told apart because
 * only ambient pressure connects them.
 */
export const MEASURANDS = {
  'absolute-pressure': { unit: 'kPa', words: 'absolute pressure' },
  'gauge-pressure': { unit: 'kPa', words: 'gauge pressure' },
  'differential-pressure': { unit: 'kPa', words: 'differential pressure' },
  position: { unit: '%', words: 'position' },
  angle: { unit: '°', words: 'angle' },
  'air-flow': { unit: 'g/s', words: 'air flow' },
} as const;
export type Measurand = keyof typeof MEASURANDS;
export const MEASURAND_NAMES = Object.keys(MEASURANDS) as Measurand[];

export const isPressure = (
  measurand: Measurand,
): measurand is 'absolute-pressure' | 'gauge-pressure' | 'differential-pressure' =>
  MEASURANDS[measurand].unit === 'kPa';
