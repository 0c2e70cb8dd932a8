import type { Clearing } from '@lettura/contract';
import { CLEARING_REFUSALS } from '@lettura/contract';
import { requestFor, sameUnit, unitName, type Asked, type UnitAddress } from '@lettura/core/record/onBoard';
import type { Tester } from './tester.ts';

type Refusal = (typeof CLEARING_REFUSALS)[number];

/** Has all units clear their codes, and says which did. */
export async function clearCodes(
  tester: Tester,
  all: Asked,
  units: readonly UnitAddress[],
): Promise<Omit<Clearing, 'clearedAt'>> {
  const answers = await tester.ask(requestFor('clear'), all);
  const cleared: string[] = [];
  const refused: Clearing['refused'] = [];
  for (const unit of units) {
    const answer = answers.find((one) => sameUnit(one.unit, unit))?.answer;
    if (answer?.kind === 'answer') cleared.push(unitName(unit));
    else
      refused.push({
        unit: unitName(unit),
        why: answer?.kind === 'refused' ? known(answer.why) : 'no-answer',
      });
  }
  return { cleared, refused };
}

const known = (why: string): Refusal => CLEARING_REFUSALS.find((one) => one === why) ?? 'other';
