import { FAULT_KIND_IDS, FAULT_KINDS, type FaultClass, type FaultKindId } from '../../machine/fault/index.ts';
import { familyOf, type FamilyId } from '../../machine/family/index.ts';

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
  ...(Object.fromEntries(FAULT_KINDS.map(({ id, weight }) => [id, weight])) as Record<FaultKindId, number>),
  ...familyOf(family).weights,
});
