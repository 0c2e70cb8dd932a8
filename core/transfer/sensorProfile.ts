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

export type TransferFunction = LinearTransfer | RatiometricTransfer;

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

/** Volts per kilopascal and volts at zero pressure, at a reference. */
export function straightLine(
  transfer: TransferFunction,
  referenceVolts: number,
): { voltsPerKpa: number; voltsAtZero: number } {
  if (transfer.form === 'ratiometric') {
    return {
      voltsPerKpa: transfer.sharePerKpa * referenceVolts,
      voltsAtZero: transfer.shareAtZero * referenceVolts,
    };
  }
  const { low, high } = transfer;
  const voltsPerKpa = (high.volts - low.volts) / (high.kpaAbs - low.kpaAbs);
  return { voltsPerKpa, voltsAtZero: low.volts - voltsPerKpa * low.kpaAbs };
}
