export {
  CIRCUMSTANCE_IDS,
  circumstancesFactor,
  circumstanceWords,
  type CircumstanceId,
} from './circumstances.ts';
export { NOTHING, usualPriors, WEIGHED_KINDS, type CauseClass, type WeighedKind } from './kindPriors.ts';
export {
  isUsual,
  kindName,
  MOST_PRIOR,
  startingInWords,
  USUAL_WEIGHTS,
  type StartingWeights,
} from './startingWeights.ts';
export { startingAfter } from './startingAfter.ts';
