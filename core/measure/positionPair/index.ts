export {
  pairDeviation,
  PAIR_LIMIT_PERCENT_OF_REFERENCE,
  type PairDeviation,
  type PairLaw,
} from './pairLaw.ts';
