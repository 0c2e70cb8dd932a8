export { hypothesesFor, NOTHING, type Hypothesis } from './hypotheses.ts';
export { KIND_PRIORS, NOTHING_PRIOR } from './kindPriors.ts';
export { posterior, type WeighedHypothesis } from './posterior.ts';
export { quantityGrid, type QuantityGrid } from './quantityGrid.ts';
export { MISTAKEN_SHARE } from './readingLikelihood.ts';
export { TOLERANCES, type WeighedCase, type WeighedReading } from './weighedCase.ts';
export { Weigher } from './weigher.ts';
