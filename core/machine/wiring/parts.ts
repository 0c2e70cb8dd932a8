import type { Lane } from '../places/index.ts';

/** Where a wire can be interrupted, from the unit's board to the element in the sensor's body. */
export const JOINTS = ['unit', 'first', 'second', 'plug', 'inside'] as const;
export type Joint = (typeof JOINTS)[number];

/** A resistance by name: a joint of a wire, or what is in the sensor, the unit and beside them. */
export type PartName =
  | `${Lane}:${Joint}`
  | 'unit-ground'
  /** What the unit draws from the battery for itself. */
  | 'unit-load'
  /** The body across its supply. */
  | 'supply'
  | 'thermistor'
  /** From the upper feed to the wiper, and on to the lower. */
  | `upper:${1 | 2}`
  | `lower:${1 | 2}`
  | `wiper:${1 | 2}`
  /** Another sensor on a rail, numbered from 0 over all rails. */
  | `neighbour:${number}`
  | `pull-up:${Lane}`
  | `pull-down:${Lane}`
  | 'motor';

/** What the sensor's element does: the outcome of its transfer function, and of what is wrong inside it. */
export interface Drive {
  /** Stage: of its supply. Track: where the wiper stands between lower and upper feed. */
  share: number;
  /** Stage only: added whatever the supply is. */
  offsetVolts: number;
  /** Whether the output follows its supply: at exactly nothing `share` and `offsetVolts` alone do not say it. */
  followsSupply: boolean;
  /** Of the second track. */
  secondShare: number;
  thermistorOhms: number;
}

export const AT_REST: Drive = {
  share: 0.5,
  offsetVolts: 0,
  followsSupply: true,
  secondShare: 0.5,
  thermistorOhms: 2000,
};
