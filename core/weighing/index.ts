export { hypothesesFor, NOTHING, type Hypothesis } from './hypotheses.ts';
export { KIND_PRIORS, NOTHING_PRIOR } from './kindPriors.ts';
export {
  posterior,
  TOLERANCES,
  Weigher,
  type WeighedCase,
  type WeighedHypothesis,
  type WeighedReading,
} from './posterior.ts';
export { MISTAKEN_SHARE } from './readingLikelihood.ts';
