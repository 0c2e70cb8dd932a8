import { measured, NOTHING_TO_SAY, say, type Message } from '../../measure/message/index.ts';
import type { Measurand } from '../../measure/quantity/index.ts';
import { enSaid } from '../../measure/uncertainty/index.ts';
import type { PumpPoint } from './pumpPoint.ts';

/** A step of a pump table: whether sensor and pump agree there, and by how much they do not. */
export function pumpStepSaid(judged: NonNullable<PumpPoint['judged']>, measures: Measurand): Message {
  if (!judged.ok) return judged.problem.message;
  const { outcome, matters, difference, en, limitedBy, ofBound } = judged.value;
  if (ofBound && outcome === 'cannot-tell') return say('compare.step-of-bound', { limitedBy });
  const size = say('compare.step-off-by', {
    atLeast: ofBound === true,
    size: measured(Math.abs(difference), measures),
    below: difference < 0,
    en: en === undefined ? NOTHING_TO_SAY : say('compare.en', { en: enSaid(en) }),
  });
  switch (outcome) {
    case 'cannot-tell':
      return say('compare.step-cannot-tell', { size, limitedBy });
    case 'agree':
      return say('compare.step-agrees', { size });
    case 'disagree':
      return matters ? say('compare.step-disagrees', { size }) : say('compare.step-too-little', { size });
  }
}
