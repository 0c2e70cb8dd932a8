import type { SensorProfile, Tolerance } from './sensorProfile.ts';

/** About 2 inHg: the shift that a workshop calls a fault (common practice). */
export const MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA = 6.8;

/** Their common figure “temperature error multiplier”: 3 at −40 °C, 1 from 0 to 85 °C, 3 at 125 °C. */
const band = (plusMinus: number): Tolerance => ({
  form: 'temperature-band',
  plusMinus,
  multipliers: [
    { celsius: -40, factor: 3 },
    { celsius: 0, factor: 1 },
    { celsius: 85, factor: 1 },
    { celsius: 125, factor: 3 },
  ],
});

/** Published data sheet: V = Vs (0.004 P − 0.04), ±1.5 % of full scale (±3.45 kPa), Vs 4.85 to 5.35 V. */
export const MPX4250A: SensorProfile = {
  measures: 'absolute-pressure',
  transfer: { form: 'ratiometric', sharePerUnit: 0.004, shareAtZero: -0.04 },
  nominalReferenceVolts: 5,
  lowest: 20,
  highest: 250,
  circuitLowVolts: 0.1,
  circuitHighVolts: 4.9,
  tolerance: band(3.45),
  differenceThatMatters: MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA,
  bias: 'unknown',
};

/** Published data sheet: V = Vs (0.009 P − 0.095), ±1.5 % of full scale (±1.5 kPa). */
export const MPX4115A: SensorProfile = {
  ...MPX4250A,
  transfer: { form: 'ratiometric', sharePerUnit: 0.009, shareAtZero: -0.095 },
  lowest: 15,
  highest: 115,
  tolerance: band(1.5),
};

/** Published data sheet: V = Vs (0.09 P + 0.04), differential 0 to 10 kPa, ±5 % of full scale. */
export const MPX5010DP: SensorProfile = {
  ...MPX4250A,
  measures: 'differential-pressure',
  transfer: { form: 'ratiometric', sharePerUnit: 0.09, shareAtZero: 0.04 },
  lowest: 0,
  highest: 10,
  tolerance: band(0.5),
  differenceThatMatters: 1,
};

/** Published data sheet: V = Vs (0.2 P + 0.5), differential −2 to 2 kPa; ±2.5 % of full scale (from memory). */
export const MPXV7002DP: SensorProfile = {
  ...MPX4250A,
  measures: 'differential-pressure',
  transfer: { form: 'ratiometric', sharePerUnit: 0.2, shareAtZero: 0.5 },
  lowest: -2,
  highest: 2,
  tolerance: { form: 'of-span', percent: 2.5 },
  differenceThatMatters: 0.3,
};
