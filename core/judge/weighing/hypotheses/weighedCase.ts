import type { Hypothesis } from './hypothesis.ts';
import type { QuantityGrid } from './quantityGrid.ts';
import type { Changing } from './unlisted.ts';
import type { SizedHypothesis } from './sizedHypotheses.ts';

/** So far off their nominal volts a unit's sensor supplies are looked at. */
export const LOOKED_SUPPLY_VOLTS = 0.11;

/** Where a machine stands off the usual one, as far as what is read moves with it. */
export interface Stand {
  /** Of the unit's sensor supplies off their nominal volts. */
  supplyVolts: number;
  /**
   * Of every voltage against battery negative: a unit stands some hundredths of a volt above it wherever it draws current, and a meter
   * that is off is off on everything.
   */
  offsetVolts: number;
  /** Of the way from the usual pull of an input to a strong one. */
  pullShare: number;
}
interface Tolerance extends Stand {
  /** Of the sensor in its tolerance, in parts of it. */
  at: number;
  /** How often. */
  weight: number;
}

const LEVEL: Omit<Tolerance, 'weight'> = { at: 0, supplyVolts: 0, offsetVolts: 0, pullShare: 0 };

/**
 * Where a machine stands within what is sound, whatever else is wrong with it. Others of these at an end at once are rarer than what
 * a reading differs by anyway.
 */
export const TOLERANCES: readonly Tolerance[] = [
  { ...LEVEL, at: -0.75, weight: 0.17 },
  { ...LEVEL, supplyVolts: -LOOKED_SUPPLY_VOLTS, weight: 0.07 },
  { ...LEVEL, weight: 0.22 },
  { ...LEVEL, supplyVolts: LOOKED_SUPPLY_VOLTS, weight: 0.07 },
  { ...LEVEL, at: 0.75, weight: 0.17 },
  { ...LEVEL, offsetVolts: 0.037, weight: 0.09 },
  { ...LEVEL, offsetVolts: -0.045, weight: 0.02 },
  // Sizes of a fault make up for what lies between the usual pull and this one.
  { ...LEVEL, pullShare: 0.6, weight: 0.13 },
  // A supply and a sensor that are both at an end show it twice on one signal; to opposite sides they hide each other.
  { ...LEVEL, at: -0.75, supplyVolts: -LOOKED_SUPPLY_VOLTS, weight: 0.03 },
  { ...LEVEL, at: 0.75, supplyVolts: LOOKED_SUPPLY_VOLTS, weight: 0.03 },
];

/** Where nothing is off. */
export const MIDDLE = TOLERANCES.findIndex(
  ({ at, supplyVolts, offsetVolts, pullShare }) =>
    at === 0 && supplyVolts === 0 && offsetVolts === 0 && pullShare === 0,
);

/** As often as this a maker's circuit is near enough to the usual one, even where others are not. */
export const USUAL_MAKERS = 0.5;

/**
 * One reading, as the reasoning wants it: how likely it is for each sized hypothesis, while the sensor stands somewhere in
 * its tolerance and the quantity has a value. Many hypotheses share one list of likelihoods.
 */
export interface WeighedReading {
  id: string;
  /** Readings of the same drive are of the same quantity. */
  drive: string;
  /** By tolerance, then by node of the drive's grid. */
  lists: readonly Float64Array[];
  /** By sized hypothesis: which of the lists. */
  listOf: Int32Array;
  /** What a likelihood is at least, because the reading may be mistaken. */
  floor: number;
}

/** What the readings of one drive say of their quantity; sized hypotheses of which they say the same share it. */
export interface DriveProducts {
  /** By sized hypothesis: the number of what is said of it. */
  alikeOf: Int32Array;
  /** By that number: the first that it is said of. */
  firsts: readonly number[];
  /** By that number: along tolerances and nodes how likely the readings are together with the node. */
  products: readonly Float64Array[];
  /** By that number, then tolerance: the same over all nodes. */
  sums: Float64Array;
}

/** By drive, what was worked out last: readings come one after the other, and the next only adds to it. */
export type ProductsKept = Map<string, { group: readonly WeighedReading[]; found: Unsummed }>;

export type Unsummed = Omit<DriveProducts, 'sums'>;

/** The readings of a job that say anything, with the quantities that they depend on. */
export interface WeighedCase {
  hypotheses: readonly Hypothesis[];
  sized: readonly SizedHypothesis[];
  /** By sized hypothesis: its share of the hypothesis, in parts that need not sum to one. */
  weights: Float64Array;
  /** What may be of another size in every state. */
  changing: readonly Changing[];
  grids: ReadonlyMap<string, QuantityGrid>;
  readings: readonly WeighedReading[];
  /** Where whoever weighs the same job again and again keeps what it worked out. */
  kept?: ProductsKept | undefined;
}
