export {
  candidatesFor,
  drivenStates,
  minutesFor,
  REACHES,
  type Candidate,
  type Reach,
  type Reaches,
} from './candidates.ts';
export { decisionsFor, decisionShares, type Decision, type Decisions } from './decisions.ts';
export { codesThatTell } from './codeEvidence.ts';
export { hypothesesFor, NOTHING, type Hypothesis } from './hypotheses.ts';
export {
  judge,
  judgementOn,
  lookAhead,
  mayBeDecided,
  standingOf,
  type Judgement,
  type Suggestion,
} from './judge.ts';
export { posterior, ranked, type Posterior, type WeighedHypothesis } from './posterior.ts';
export { quantityGrid, type QuantityGrid } from './quantityGrid.ts';
export { MISTAKEN_SHARE } from './readingLikelihood.ts';
export { TOLERANCES, type WeighedCase, type WeighedReading } from './weighedCase.ts';
export { Weigher } from './weigher.ts';
export { causeTitle } from './causeTitle.ts';
export { costOfGuessing, type CostOfGuessing, type Guess } from './costOfGuessing.ts';
export { decisionWords, titleOf } from './decisionWords.ts';
export type { Doubtful, Statement, Strength } from './explain.ts';
export type { NextReading } from './nextWords.ts';
export { missingProof } from './provenByReadings.ts';
export { changesNothing, NO_WHAT_IF, type WhatIf } from './whatIf.ts';
export {
  weigherFor,
  weighInStages,
  weighJob,
  type CauseClass,
  type JobWeighing,
  type Verdict,
  type WeighedCause,
} from './weighJob.ts';
