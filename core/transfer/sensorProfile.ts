/** One point of a straight line given by the maker. */
export interface LinePoint {
  volts: number;
  kpaAbs: number;
}

/** Output volts that do not follow the supply: two points of a straight line. */
export interface LinearTransfer {
  form: 'linear';
  low: LinePoint;
  high: LinePoint;
}

/** The data-sheet form V = Vref · (sharePerKpa · P + shareAtZero): the output is a share of the supply. */
export interface RatiometricTransfer {
  form: 'ratiometric';
  sharePerKpa: number;
  shareAtZero: number;
}

/** Points in any order, strictly monotone, joined by a monotone cubic in volts. */
export interface TableTransfer {
  form: 'table';
  points: readonly LinePoint[];
  /** Whether the volts were noted at the nominal reference and follow the supply. */
  ratiometric: boolean;
}

export type TransferFunction = LinearTransfer | RatiometricTransfer | TableTransfer;

/** Which way the control unit's signal input goes when nothing drives it. */
export const BIASES = ['pull-up', 'pull-down', 'unknown'] as const;
export type Bias = (typeof BIASES)[number];

export interface SensorProfile {
  transfer: TransferFunction;
  nominalReferenceVolts: number;
  lowestKpaAbs: number;
  highestKpaAbs: number;
  /** The control unit sets a circuit code below and above these, and then substitutes a value. */
  circuitLowVolts: number;
  circuitHighVolts: number;
  /** The maker's limits, plus and minus, anywhere in the range. */
  toleranceKpa: number;
  /** A difference smaller than this changes no decision. */
  differenceThatMattersKpa: number;
  bias: Bias;
}
