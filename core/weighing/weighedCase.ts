import type { Hypothesis } from './hypotheses.ts';
import type { QuantityGrid } from './quantityGrid.ts';

/** Where the sensor stands within its tolerance, in parts of it, and how often. */
export const TOLERANCES: readonly { at: number; weight: number }[] = [
  { at: -0.6, weight: 0.3 },
  { at: 0, weight: 0.4 },
  { at: 0.6, weight: 0.3 },
];

/** One reading, as the reasoning wants it: how likely it is, for a hypothesis in a size while the quantity has a value. */
export interface WeighedReading {
  id: string;
  /** Readings of the same drive are of the same quantity. */
  drive: string;
  likelihood(hypothesis: number, size: number, node: number, tolerance: number): number;
}

/** The readings of a job that say anything, with the quantities that they depend on. */
export interface WeighedCase {
  hypotheses: readonly Hypothesis[];
  grids: ReadonlyMap<string, QuantityGrid>;
  readings: readonly WeighedReading[];
}
