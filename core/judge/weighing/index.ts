export {
  candidatesFor,
  REACHABLE,
  REACHES,
  type Candidate,
  type Reach,
  type Reachable,
  type Reaches,
} from './outlook/candidates.ts';
export { drivenStates } from './outlook/drivenStates.ts';
export { minutesFor } from './outlook/minutesFor.ts';
export { decisionsFor, decisionShares, type Decision, type Decisions } from './posterior/decisions.ts';
export { codesThatTell } from './likelihood/codeEvidence.ts';
export { hypothesesFor, NOTHING, type Hypothesis } from './hypotheses/hypotheses.ts';
export {
  judge,
  isUnexplained,
  judgementOn,
  lookAhead,
  mayBeDecided,
  standingOf,
  type Judgement,
  type Suggestion,
} from './gate/judgement.ts';
export { posterior, ranked, type Posterior, type WeighedHypothesis } from './posterior/posterior.ts';
export { quantityGrid, type QuantityGrid } from './hypotheses/quantityGrid.ts';
export { MISTAKEN_SHARE } from './likelihood/readingLikelihood.ts';
export { TOLERANCES, type WeighedCase, type WeighedReading } from './hypotheses/weighedCase.ts';
export { weigherFor } from './likelihood/keptWeighers.ts';
export { Weigher } from './likelihood/weigher.ts';
export { isCauseName, type Cause } from './posterior/cause.ts';
export { causeTitle, titleOf } from './posterior/causeSaid.ts';
export { costOfGuessing, type CostOfGuessing, type Guess } from './explanation/costOfGuessing.ts';
export type { Doubtful, Statement, Strength } from './explanation/explain.ts';
export { toolSaid, toolsFor, type ToolId } from './explanation/atHand.ts';
export type { NextReading } from './explanation/nextReading.ts';
export { missingProof } from './gate/provenByReadings.ts';
export { changesNothing, NO_WHAT_IF, type WhatIf } from './outlook/whatIf.ts';
export { weighInStages, weighJob, type JobWeighing, type WeighedCause } from './explanation/weighJob.ts';
export { type Verdict } from './explanation/verdictOn.ts';
export { SCHOOL_IDS, type Beginning, type Plan, type SchoolId } from './explanation/plan.ts';
export type { CauseClass } from '../priors/index.ts';
