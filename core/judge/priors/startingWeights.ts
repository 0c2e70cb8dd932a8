import { plain, say, type Message } from '../../measure/message/index.ts';
import { faultKind } from '../../machine/fault/index.ts';
import type { CircumstanceId } from './circumstanceIds.ts';
import { circumstanceWords } from './circumstances.ts';
import { NOTHING, WEIGHED_KINDS, type WeighedKind } from './weighedKinds.ts';

/** What shifts the weights of a job before anything is read. */
export interface StartingWeights {
  circumstances: readonly CircumstanceId[];
  /** Weights that were changed, by kind of fault or `nothing`; whatever is left out has its usual one. */
  priors: Readonly<Partial<Record<WeighedKind, number>>>;
}

export const USUAL_WEIGHTS: StartingWeights = { circumstances: [], priors: {} };

/** Whether nothing was changed of the weights that a family starts from. */
export const isUsual = ({ circumstances, priors }: StartingWeights): boolean =>
  circumstances.length === 0 && Object.keys(priors).length === 0;

/** What has a weight, by name. */
export const kindName = (id: WeighedKind): Message =>
  id === NOTHING ? say('priors.nothing-wrong-now') : faultKind(id).name;

/** What was changed, for whoever reads the record later. */
export const startingInWords = ({ circumstances, priors }: StartingWeights): Message[] => [
  ...circumstances.map(circumstanceWords),
  ...WEIGHED_KINDS.flatMap((id) =>
    priors[id] === undefined ? [] : [say('priors.weight', { kind: kindName(id), weight: plain(priors[id]) })],
  ),
];
