import { measured, NOTHING_TO_SAY, say, type Message } from '../../measure/message/index.ts';
import type { Measurand } from '../../measure/quantity/index.ts';
import { enSaid, type Comparison } from '../../measure/uncertainty/index.ts';

/** Two values that were compared, by what they are called. */
export interface ComparedPair {
  a: Message;
  b: Message;
  comparison: Comparison;
  /** Whether a difference of this size would change a decision. */
  matters: boolean;
}

/** One comparison in a sentence: whether they agree, by how much, and what would settle it where they cannot tell. */
export function pairSaid({ a, b, comparison, matters }: ComparedPair, measures: Measurand): Message {
  const { outcome, difference, expandedUncertainty, en, limitedBy, sufficientLimits, ofBound } = comparison;
  const show = (value: number) => measured(value, measures);
  if (ofBound && outcome === 'cannot-tell') return say('compare.of-bound', { a, b, limitedBy });
  const beside = say('compare.beside.title', {
    a,
    b,
    atLeast: ofBound === true,
    size: show(Math.abs(difference)),
    above: difference >= 0,
    doubt: show(expandedUncertainty),
    en: en === undefined ? NOTHING_TO_SAY : say('compare.en', { en: enSaid(en) }),
  });
  switch (outcome) {
    case 'agree':
      return say('compare.agree', { beside });
    case 'disagree':
      return matters ? say('compare.matters', { beside }) : say('compare.too-little', { beside });
    case 'cannot-tell':
      return say('compare.cannot-tell', {
        beside,
        limitedBy,
        cure:
          sufficientLimits === undefined
            ? say('compare.not-even-perfect')
            : say('compare.would-do', { limits: show(sufficientLimits) }),
      });
  }
}
