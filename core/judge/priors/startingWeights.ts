import { FAULT_KINDS } from '../../machine/fault/index.ts';
import { circumstanceWords, type CircumstanceId } from './circumstances.ts';
import { NOTHING } from './kindPriors.ts';

/** What shifts the weights of a job before anything is read. */
export interface StartingWeights {
  circumstances: readonly CircumstanceId[];
  /** Weights that were changed, by kind of fault or `nothing`; whatever is left out has its usual one. */
  priors: Readonly<Record<string, number>>;
}

export const USUAL_WEIGHTS: StartingWeights = { circumstances: [], priors: {} };

/** A weight is no more than this, and no less than nothing: what cannot be may be ruled out. */
export const MOST_PRIOR = 100;

export const isUsual = ({ circumstances, priors }: StartingWeights): boolean =>
  circumstances.length === 0 && Object.keys(priors).length === 0;

export const kindName = (id: string): string =>
  id === NOTHING ? 'Nothing is wrong now' : (FAULT_KINDS.find((kind) => kind.id === id)?.name ?? id);

/** What was changed, for whoever reads the record later. */
export const startingInWords = ({ circumstances, priors }: StartingWeights): string[] => [
  ...circumstances.map(circumstanceWords),
  ...Object.entries(priors).map(([id, weight]) => `${kindName(id)}: weight ${weight}`),
];
