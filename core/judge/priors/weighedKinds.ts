import { FAULT_KIND_IDS } from '../../machine/kinds/index.ts';

/** Nothing is wrong now: no fault, or one that comes and goes. */
export const NOTHING = 'nothing';

/** What has a weight: every kind of fault, and nothing. */
export const WEIGHED_KINDS = [...FAULT_KIND_IDS, NOTHING] as const;
export type WeighedKind = (typeof WEIGHED_KINDS)[number];

/** A weight is no more than this, and no less than nothing: what cannot be may be ruled out. */
export const MOST_PRIOR = 100;
