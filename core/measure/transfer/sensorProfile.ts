import type { Measurand } from '../quantity/index.ts';

/** One point of a curve: `value` is in the core's unit of what the sensor measures (`MEASURANDS`). */
export interface CurvePoint {
  volts: number;
  value: number;
}

/** Output volts that do not follow the supply: two points of a straight line. */
export interface LinearTransfer {
  form: 'linear';
  low: CurvePoint;
  high: CurvePoint;
}

/** The data-sheet form V = Vref · (sharePerUnit · value + shareAtZero): the output is a share of the supply. */
export interface RatiometricTransfer {
  form: 'ratiometric';
  sharePerUnit: number;
  shareAtZero: number;
}

/**
 * Points in any order, no value twice. Strictly monotone ones are joined by a monotone cubic in volts; where the volts stand
 * still or turn round, by one in the value, and one voltage then means a stretch of values.
 */
export interface TableTransfer {
  form: 'table';
  points: readonly CurvePoint[];
  /** Whether the volts were noted at the nominal reference and follow the supply. */
  ratiometric: boolean;
}

/** value = c₀ + c₁·V + c₂·V² …, monotone between two voltages and carried on straight past them. */
export interface PolynomialTransfer {
  form: 'polynomial';
  /** c₀ first. */
  coefficients: readonly number[];
  fromVolts: number;
  toVolts: number;
  ratiometric: boolean;
}

/** King's law of a heated element: V² = a + b · flowⁿ. The feed is the battery's, so nothing follows the reference. */
export interface HotElementTransfer {
  form: 'hot-element';
  a: number;
  b: number;
  n: number;
}

/**
 * The value is sent in telegrams (SAE J2716): two steps of a straight line, of the 4,096 that twelve bits have. The volts of the line
 * say nothing of it.
 */
export interface TelegramTransfer {
  form: 'telegrams';
  low: { step: number; value: number };
  high: { step: number; value: number };
}

/** The value is how often a line goes to and fro: two points and more, of rising or falling frequency. */
export interface FrequencyTransfer {
  form: 'frequency';
  points: readonly { hertz: number; value: number }[];
}

/** The value is for what share of the time the line is up, as it is captured at the plug: points as above. */
export interface DutyTransfer {
  form: 'duty';
  points: readonly { upPercent: number; value: number }[];
}

export type TransferFunction =
  | LinearTransfer
  | RatiometricTransfer
  | TableTransfer
  | PolynomialTransfer
  | HotElementTransfer
  | TelegramTransfer
  | FrequencyTransfer
  | DutyTransfer;

/** The maker's limits, plus and minus. */
export type Tolerance =
  /** In the unit of what is measured, anywhere in the range. */
  | { form: 'plus-minus'; plusMinus: number }
  | { form: 'of-span'; percent: number }
  /** Never smaller than `atLeast`, in the unit of what is measured. */
  | { form: 'of-value'; percent: number; atLeast: number }
  /** Widened away from room temperature: factors at rising temperatures, straight in between. */
  | {
      form: 'temperature-band';
      plusMinus: number;
      multipliers: readonly { celsius: number; factor: number }[];
    };

/** Which way the control unit's signal input goes when nothing drives it. */
export const BIASES = ['pull-up', 'pull-down', 'unknown'] as const;
export type Bias = (typeof BIASES)[number];

/** How one output of a sensor becomes a value. `lowest` to `differenceThatMatters` are in the measurand's unit. */
export interface SensorProfile {
  measures: Measurand;
  transfer: TransferFunction;
  nominalReferenceVolts: number;
  lowest: number;
  highest: number;
  /** The control unit sets a circuit code below and above these, and then substitutes a value. */
  circuitLowVolts: number;
  circuitHighVolts: number;
  tolerance: Tolerance;
  /** A difference smaller than this changes no decision. */
  differenceThatMatters: number;
  bias: Bias;
  /**
   * Where the electronics saturate, in volts at the nominal reference; a reading there is only a bound. Left out, the ends
   * of the range are taken.
   */
  outputVolts?: { lowest: number; highest: number } | undefined;
  /** The supply that the part is made for; outside it nothing that it says is certain. */
  supplyVolts?: { lowest: number; highest: number } | undefined;
  /** Of a curve fitted to points: its standard uncertainty in volts, where it is known worst. */
  fitUncertaintyVolts?: number | undefined;
  /** The points that the curve was fitted to, as they were typed: they are shown again when it is changed. */
  fittedTo?: readonly CurvePoint[] | undefined;
}
