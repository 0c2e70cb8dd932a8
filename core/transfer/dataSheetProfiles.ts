import type { SensorProfile } from './sensorProfile.ts';

/** About 2 inHg: the shift that a workshop calls a fault (common practice). */
export const MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA = 6.8;

/** Published data sheet: V = Vs (0.004 P − 0.04), ±1.5 % of full scale (±3.45 kPa), Vs 4.85 to 5.35 V. */
export const MPX4250A: SensorProfile = {
  transfer: { form: 'ratiometric', sharePerKpa: 0.004, shareAtZero: -0.04 },
  nominalReferenceVolts: 5,
  lowestKpaAbs: 20,
  highestKpaAbs: 250,
  circuitLowVolts: 0.1,
  circuitHighVolts: 4.9,
  toleranceKpa: 3.45,
  differenceThatMattersKpa: MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA,
  bias: 'unknown',
};

/** Published data sheet: V = Vs (0.009 P − 0.095), ±1.5 % of full scale (±1.5 kPa). */
export const MPX4115A: SensorProfile = {
  ...MPX4250A,
  transfer: { form: 'ratiometric', sharePerKpa: 0.009, shareAtZero: -0.095 },
  lowestKpaAbs: 15,
  highestKpaAbs: 115,
  toleranceKpa: 1.5,
};
