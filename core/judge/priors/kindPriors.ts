import { FAULT_KIND_IDS, type FaultClass, type FaultKindId } from '../../machine/fault/index.ts';
import { familyOf, type FamilyId } from '../../machine/family/index.ts';

/**
 * How often each kind of fault is what is wrong, before anything is read: our own starting values, common practice at best.
 * Only their proportions count; a kind's weight is shared out over the sites that a machine has for it.
 */
const KIND_PRIORS: Readonly<Record<FaultKindId, number>> = {
  'wire-open': 18,
  'wire-high-resistance': 14,
  'wire-to-ground': 6,
  'wire-to-battery': 2,
  'wires-together': 5,
  'two-wires-open': 2,
  'rail-pulled-down': 4,
  'unit-gives-no-reference': 2,
  'unit-ground-raised': 3,
  'unit-pin-open': 2,
  'unit-bias-lost': 1,
  'unit-does-not-read': 1.5,
  'sensor-stuck': 6,
  'sensor-shifted': 7,
  'sensor-gain': 4,
  'wiper-open': 2,
  'track-open': 2,
  'dead-spot': 4,
  'feed-lost-inside': 2,
  'output-lost-inside': 2,
  'sensor-loads-reference': 1.5,
  'thermistor-open': 1,
  'wrong-part': 2,
  'digital-part': 1,
  hose: 8,
  'hoses-swapped': 1.5,
  linkage: 5,
  'unmetered-air': 8,
  'restricted-passages': 6,
  'low-vacuum': 7,
};

/** Nothing is wrong now: no fault, or one that comes and goes. */
export const NOTHING = 'nothing';
const NOTHING_PRIOR = 12;

/** What kind of thing is wrong; `unlisted` where no list has it. */
export type CauseClass = FaultClass | typeof NOTHING | 'unlisted';

/** What has a weight: every kind of fault, and nothing. */
export const WEIGHED_KINDS = [...FAULT_KIND_IDS, NOTHING] as const;
export type WeighedKind = (typeof WEIGHED_KINDS)[number];

/** Starting weights of every kind, and of nothing, for a family; defaults that a job may change. */
export const usualPriors = (family: FamilyId): Readonly<Record<WeighedKind, number>> => ({
  [NOTHING]: NOTHING_PRIOR,
  ...KIND_PRIORS,
  ...familyOf(family).weights,
});
