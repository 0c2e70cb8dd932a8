import { TOLERANCES, type Stand } from '../hypotheses/weighedCase.ts';
import type { NumberedStand } from '../prediction/shownSteps.ts';

/** Tolerances in which a reading shows the same. */
export interface Alike {
  stand: NumberedStand;
  /** Which of the tolerances. */
  members: readonly number[];
}
export interface Moves {
  supply: boolean;
  pull: boolean;
  offset: boolean;
}

/** What of all stands moves a reading, each once: lists are kept by it. */
const STANDS = new Map<string, NumberedStand>();
function standOf(of: Stand, moves: Moves): NumberedStand {
  const stand = {
    supplyVolts: moves.supply ? of.supplyVolts : 0,
    offsetVolts: moves.offset ? of.offsetVolts : 0,
    pullShare: moves.pull ? of.pullShare : 0,
  };
  const key = Object.values(stand).join(' ');
  const known = STANDS.get(key) ?? { ...stand, number: STANDS.size };
  STANDS.set(key, known);
  return known;
}

/** By what of a machine's stand moves a reading; no two of it are ever off at once. */
function alikeBy(moves: Moves): readonly Alike[] {
  const groups = new Map<NumberedStand, number[]>();
  TOLERANCES.forEach((tolerance, t) => {
    const stand = standOf(tolerance, moves);
    groups.set(stand, [...(groups.get(stand) ?? []), t]);
  });
  return [...groups].map(([stand, members]) => ({ stand, members }));
}
const ALIKE_BY = Array.from({ length: 8 }, (_, of) =>
  alikeBy({ supply: (of & 1) > 0, pull: (of & 2) > 0, offset: (of & 4) > 0 }),
);

/** Of all tolerances, those in which a reading that moves with this shows the same, each group once. */
export const standsAlike = (supply: boolean, pull: boolean, offset: boolean): readonly Alike[] =>
  ALIKE_BY[(supply ? 1 : 0) + (pull ? 2 : 0) + (offset ? 4 : 0)]!;
