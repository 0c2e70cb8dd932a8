import type { AnswerTable } from '../prediction/circuitAnswers.ts';
import { between, movedAt, type Row } from '../prediction/rows.ts';
import type { Met } from '../prediction/places.ts';
import { TOLERANCES, USUAL_MAKERS } from '../hypotheses/weighedCase.ts';
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

/** The second reading, as predicted for the usual circuit: what other makers may show it off by, one standard deviation. */
export interface Foretold {
  predicted: number;
  spread: number;
  doubt: number;
}

/** How likely a second reading is, after the first. */
export type AfterSeen = (t: number, node: number, foretold: Foretold, likely: Likely) => number;

/** A place that makers differ at by so much less than at the other says nothing of their circuit. */
const LEAST_TOLD_SHARE = 0.25;
/** Where both places differ, what one tells of the other is unsure by so much of the difference. */
const UNSURE_SHARE = 0.15;

/** Of a usual maker each reading by itself, of another both or none; a first one that was mistaken says nothing of the second. */
export function likelyInDoubt(
  { predicted, spread, doubt }: Foretold,
  likely: Likely,
): { usual: number; other: number } {
  return { usual: likely(predicted, spread), other: likely(predicted, Math.sqrt(spread ** 2 + doubt ** 2)) };
}

/**
 * Of two readings of one wire in one state the second: whoever has seen the first knows which maker's circuit it is.
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
  return (t, node, foretold, likely) => {
    const { usual, other } = likelyInDoubt(foretold, likely);
    const plain = USUAL_MAKERS * usual + (1 - USUAL_MAKERS) * other;
    const place = met.placed[t]![node]!;
    const doubt = between(doubts, place);
    if (doubt === 0 || doubt < LEAST_TOLD_SHARE * foretold.doubt) return plain;
    const stand = TOLERANCES[t]!;
    const predicted = along.reads(row, t)[node]! + stand.offsetVolts + movedAt(first, stand, place);
    const before = likelyInDoubt({ predicted, spread: foretold.spread, doubt }, likelyFirst);
    const shown = foretold.predicted + (foretold.doubt / doubt) * (volts - predicted);
    const told = likely(shown, UNSURE_SHARE * Math.abs(shown - volts));
    const ofOthers = Math.max(0, before.other - floor) * told + floor * other;
    return (
      (USUAL_MAKERS * before.usual * usual + (1 - USUAL_MAKERS) * ofOthers) /
      (USUAL_MAKERS * before.usual + (1 - USUAL_MAKERS) * before.other)
    );
  };
}
