import type { Lane, MachineState } from '@lettura/core/machine/places';
import type { ObservationId } from '@lettura/core/record/observation';
import type { Cause } from '@lettura/core/judge/weighing';
import type { Draw } from './draw.ts';
import type { StrangeSensor } from './strangeSensor.ts';

/** From the unit's board to what is inside the sensor. */
export const STRETCHES = ['board', 'first', 'second', 'contact', 'inside'] as const;
export type Stretch = (typeof STRETCHES)[number];

/** What is wrong with a machine, in the terms of this simulator. */
export interface Ill {
  name: string;
  class: 'wire' | 'control-unit' | 'sensor' | 'wrong-part' | 'physical' | 'nothing';
  /** Not among what the weighing was made for. */
  outside?: boolean;
  /** Whether a decision leads to the right work at the right place. */
  isAt(cause: Cause): boolean;
  addedOhms?: Partial<Record<`${Lane}:${Stretch}`, number>>;
  leaks?: readonly { a: Lane; b: Lane | 'ground' | 'battery'; ohms: number }[];
  supply?: { number: number; volts: number };
  neighbour?: { supply: number; ohms: number };
  unitGroundOhms?: number;
  readsAlways?: { wire: Lane; volts: number };
  /** What the element gives, as a share of its supply, for what it should give and what it rests at. */
  element?: (share: number, resting: number) => number;
  /** Across its supply, in ohms. */
  chipDraws?: number;
  outputOhms?: number;
  track?: {
    number: 1 | 2;
    openAt?: 'upper' | 'lower' | 'wiper';
    deadFrom?: number;
    deadTo?: number;
    endOhms?: number;
  };
  thermistorOpen?: boolean;
  /** What of the quantity gets to the sensor. */
  quantity?: (value: number, resting: number, state: MachineState) => number;
  /** Where a gauge at the source sees it as well. */
  isAtSource?: boolean;
  /** What a look at it would find. */
  shows?: readonly ObservationId[];
}

/** Undefined for a machine that cannot have it. */
export type IllMaker = (draw: Draw, sensor: StrangeSensor) => Ill | undefined;
export type IllsByWeight = readonly (readonly [weight: number, make: IllMaker])[];
