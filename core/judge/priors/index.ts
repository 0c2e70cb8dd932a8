export { CIRCUMSTANCE_IDS, type CircumstanceId } from './circumstanceIds.ts';
export { circumstancesFactor, circumstanceWords } from './circumstances.ts';
export { usualPriors, type CauseClass } from './kindPriors.ts';
export {
  isUsual,
  kindName,
  startingInWords,
  USUAL_WEIGHTS,
  type StartingWeights,
} from './startingWeights.ts';
export { startingAfter } from './startingAfter.ts';
export { MOST_PRIOR, NOTHING, WEIGHED_KINDS, type WeighedKind } from './weighedKinds.ts';
