import { FAULT_KINDS, type FaultClass, type FaultKindId } from '../../machine/fault/index.ts';
import { familyOf, type FamilyId } from '../../machine/family/index.ts';
import { NOTHING, type WeighedKind } from './weighedKinds.ts';

const NOTHING_PRIOR = 12;

/** What kind of thing is wrong; `unlisted` where no list has it. */
export type CauseClass = FaultClass | typeof NOTHING | 'unlisted';

/** Starting weights of every kind, and of nothing, for a family; defaults that a job may change. */
export const usualPriors = (family: FamilyId): Readonly<Record<WeighedKind, number>> => ({
  [NOTHING]: NOTHING_PRIOR,
  ...(Object.fromEntries(FAULT_KINDS.map(({ id, weight }) => [id, weight])) as Record<FaultKindId, number>),
  ...familyOf(family).weights,
});
