import { wasSeen } from '../likelihood/observationLikelihood.ts';
import type { CaseFile } from '../../checks/index.ts';
import type { Hypothesis } from '../hypotheses/hypothesis.ts';
import type { Decision } from '../posterior/decisions.ts';

/** A class is named from here on: parts are thrown away and looms opened by it. */
const CLASS_SHARE = 0.93;
/** What somebody saw with his own eyes, and is put right without a part, from here on. */
const SEEN_SHARE = 0.875;
/** So is a place, which a look at it confirms. */
export const PLACE_SHARE = 0.825;

/** The share that the class of a decision has to have before it is named. */
export const shareToName = (
  { class: sort, members }: Decision,
  hypotheses: readonly Hypothesis[],
  { observations }: CaseFile,
): number =>
  sort === 'physical' &&
  observations.some((seen) => members.some((member) => wasSeen(seen, hypotheses[member]!)))
    ? SEEN_SHARE
    : CLASS_SHARE;
