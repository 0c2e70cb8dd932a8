import type { AnswerTable } from '../prediction/circuitAnswers.ts';
import { between, movedAt, type Row } from '../prediction/rows.ts';
import type { Met } from '../prediction/places.ts';
import { TOLERANCES, USUAL_MAKERS, type Stand } from '../hypotheses/weighedCase.ts';
import { alongRows } from './alongRows.ts';

/** How likely a reading is where this is predicted, give or take what was not looked at. */
export type Likely = (predicted: number, spread: number) => number;

/** What the same wire showed before in the same state: a maker's circuit that explains it shows the rest accordingly. */
export interface SeenBefore {
  volts: number;
  likely: Likely;
  /** What `likely` is at least, because that reading may be mistaken. */
  floor: number;
  /** Of the place where it was read. */
  table: AnswerTable;
}

/** How likely a second reading is, after the first. */
export interface AfterSeen {
  /** Whether the first one shows something else where a machine stands there. */
  isMovedIn(stand: Stand): boolean;
  /**
   * @param predicted for the usual circuit
   * @param spread    by what was not looked at, one standard deviation
   * @param doubt     by what other makers may show it off, one standard deviation
   */
  likelihood(
    t: number,
    node: number,
    predicted: number,
    spread: number,
    doubt: number,
    likely: Likely,
  ): number;
}

/** A place that makers differ at by so much less than at the other says nothing of their circuit. */
const LEAST_TOLD_SHARE = 0.25;
/** Where both places differ, what one tells of the other is unsure by so much of the difference. */
const UNSURE_SHARE = 0.15;

const ofOtherMaker = (predicted: number, spread: number, doubt: number, likely: Likely): number =>
  likely(predicted, Math.sqrt(spread ** 2 + doubt ** 2));

/** Of one reading by itself. */
export const inDoubt = (predicted: number, spread: number, doubt: number, likely: Likely): number =>
  doubt === 0
    ? likely(predicted, spread)
    : USUAL_MAKERS * likely(predicted, spread) +
      (1 - USUAL_MAKERS) * ofOtherMaker(predicted, spread, doubt, likely);

/**
 * Of two readings of one wire in one state the second: of a usual maker each reading by itself, of another both or none, since whoever
 * has seen the first knows which maker's circuit it is. A first one that was mistaken says nothing of the second.
 *
 * @param row of the first reading, for the same size of the same thing that may be wrong
 * @returns undefined where the makers do not differ in the first
 */
export function afterSeen(
  { volts, likely: likelyFirst, floor, table }: SeenBefore,
  row: number,
  met: Met,
  along = alongRows(table.rows, met),
): AfterSeen | undefined {
  const first: Row = table.rows[row]!;
  const { doubt: doubts } = first;
  if (!doubts) return undefined;
  const isMoved = first.follows !== undefined || first.pulls !== undefined;
  const likelihood: AfterSeen['likelihood'] = (t, node, predicted, spread, doubt, likely) => {
    const place = met.placed[t]![node]!;
    const doubtFirst = between(doubts, place);
    if (doubtFirst === 0 || doubtFirst < LEAST_TOLD_SHARE * doubt)
      return inDoubt(predicted, spread, doubt, likely);
    const stand = TOLERANCES[t]!;
    const predictedFirst = along.reads(row, t)[node]! + stand.offsetVolts + movedAt(first, stand, place);
    const usualFirst = likelyFirst(predictedFirst, spread);
    const otherFirst = ofOtherMaker(predictedFirst, spread, doubtFirst, likelyFirst);
    const usual = likely(predicted, spread);
    let ofOthers = floor * ofOtherMaker(predicted, spread, doubt, likely);
    // Most of what may be wrong does not explain the first one: nothing is told by it then.
    if (otherFirst > floor) {
      const shown = predicted + (doubt / doubtFirst) * (volts - predictedFirst);
      ofOthers += (otherFirst - floor) * likely(shown, UNSURE_SHARE * Math.abs(shown - volts));
    }
    return (
      (USUAL_MAKERS * usualFirst * usual + (1 - USUAL_MAKERS) * ofOthers) /
      (USUAL_MAKERS * usualFirst + (1 - USUAL_MAKERS) * otherFirst)
    );
  };
  return { likelihood, isMovedIn: ({ offsetVolts }) => isMoved || offsetVolts !== 0 };
}
