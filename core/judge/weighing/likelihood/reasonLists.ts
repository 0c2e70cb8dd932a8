import { type Complaint } from '../../../record/code/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import type { AnswerTable } from '../prediction/circuitAnswers.ts';
import { NOTHING, type Hypothesis } from '../hypotheses/hypotheses.ts';
import { listsOver } from './lists.ts';
import type { Places } from '../prediction/places.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';
import type { WeighedReading } from '../hypotheses/weighedCase.ts';
import { reasonFor, comesBack, STORED } from './codeEvidence.ts';

type Lists = Pick<WeighedReading, 'lists' | 'listOf'>;

/** How sure the reason is, along the tolerances and nodes of each answer. */
export const reasonsOver = (
  complaint: Complaint,
  caseFile: CaseFile,
  table: AnswerTable,
  places: Places,
  sized: readonly SizedHypothesis[],
): Lists => alikeOnce(listsOver(table, places, sized, reasonFor(complaint, caseFile)));

/** A code that was read again after clearing. */
export const readAgain = ({ lists, listOf }: Lists, staysAway: boolean): Lists & { floor: number } => ({
  floor: 0,
  lists: lists.map((reasons) =>
    reasons.map((reason) => (staysAway ? 1 - comesBack(reason) : comesBack(reason))),
  ),
  listOf,
});

/** A code that the job came with. */
export function foundStored(
  { lists, listOf }: Lists,
  sized: readonly SizedHypothesis[],
  hypotheses: readonly Hypothesis[],
): Lists & { floor: number } {
  const found = (without: number) =>
    lists.map((reasons) => reasons.map((reason) => STORED.withReason * reason + without * (1 - reason)));
  return {
    floor: 0,
    lists: [...found(STORED.without), ...found(STORED.comesAndGoes)],
    listOf: listOf.map((list, s) =>
      mayComeAndGo(hypotheses[sized[s]!.hypothesis]!) ? lists.length + list : list,
    ),
  };
}

/** Lists that say the same become one: most voltages are far from any limit, and whoever reasons on is the quicker. */
function alikeOnce({ lists, listOf }: Lists): Lists {
  const numbers = new Map<string, number>();
  const kept: Float64Array[] = [];
  const numberOf = lists.map((list) => {
    const said = list.join(' ');
    const number = numbers.get(said) ?? kept.push(list) - 1;
    numbers.set(said, number);
    return number;
  });
  return { lists: kept, listOf: listOf.map((list) => numberOf[list]!) };
}

const mayComeAndGo = ({ id, kind }: Hypothesis): boolean => id === NOTHING || kind?.id === 'dead-spot';
