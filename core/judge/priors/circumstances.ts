import { say, type Message } from '../../measure/message/index.ts';
import { isInPlug, type FaultSite } from '../../machine/fault/index.ts';
import type { CircumstanceId } from './circumstanceIds.ts';
import type { CauseClass } from './kindPriors.ts';

/** What a circumstance has an eye for. */
interface Suspect {
  class: CauseClass;
  site?: Pick<FaultSite, 'at'> | undefined;
}

interface Circumstance {
  words: Message;
  /** How it shifts a weight before anything is read; our own starting values. */
  factor(suspect: Suspect): number;
}

const CIRCUMSTANCES: Record<CircumstanceId, Circumstance> = {
  'sensor-replaced': {
    words: say('priors.sensor-replaced-already'),
    factor: ({ class: sort }) => (sort === 'sensor' ? 0.3 : sort === 'wrong-part' ? 2.5 : 1),
  },
  'loom-damaged': {
    words: say('priors.damage-loom-visible'),
    factor: ({ class: sort }) => (sort === 'wire' ? 3 : 1),
  },
  'worked-on': {
    words: say('priors.somebody-worked-near-shortly-before'),
    factor: ({ class: sort, site }) =>
      sort === 'physical' || (site !== undefined && isInPlug(site.at)) ? 2.5 : 1,
  },
  'old-part': {
    words: say('priors.sensor-older-than-ten-years'),
    factor: ({ class: sort }) => (sort === 'sensor' ? 1.7 : 1),
  },
};

/** What a circumstance is called where it is ticked. */
export const circumstanceWords = (id: CircumstanceId): Message => CIRCUMSTANCES[id].words;

/** Of all of them together. */
export const circumstancesFactor = (ids: readonly CircumstanceId[], suspect: Suspect): number =>
  ids.reduce((factor, id) => factor * CIRCUMSTANCES[id].factor(suspect), 1);
