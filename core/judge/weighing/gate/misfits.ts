import type { AnyEvidence } from '../../../record/evidence/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import { isSameAct } from '../likelihood/aboutReadings.ts';
import { shownAlready } from '../likelihood/readAgain.ts';
import { MISTAKEN_SHARE } from '../likelihood/readingLikelihood.ts';
import type { Decision } from '../posterior/decisions.ts';
import { mistakenProbability, unusualProbability } from '../posterior/mistaken.ts';
import type { Posterior } from '../posterior/posterior.ts';
import type { WeighedCase } from '../hypotheses/weighedCase.ts';

/** A reading does not go with a cause that makes it likelier mistaken than this. */
const DOES_NOT_GO = 0.7;
/** So many readings going wrong by chance alone is not believed below this. */
const CHANCE = 0.02;

/**
 * The readings that a decision would have to call mistaken, where they are more than chance allows: then it does not explain what
 * was read, however far it leads.
 *
 * @returns of each spot the newest; none where chance does for all of them
 */
export function misfitsOf(
  decision: Decision,
  weighed: WeighedCase,
  known: Posterior,
  caseFile: CaseFile,
): AnyEvidence[] {
  const { looked, off } = lookedAt(decision, weighed, known, caseFile);
  return byChance(off.length, looked) < CHANCE ? off : [];
}

/** The readings that a decision has to call mistaken; of each spot the newest. */
export const notGoingWith = (
  decision: Decision,
  weighed: WeighedCase,
  known: Posterior,
  caseFile: CaseFile,
): AnyEvidence[] => lookedAt(decision, weighed, known, caseFile).off;

function lookedAt(
  { members }: Decision,
  weighed: WeighedCase,
  known: Posterior,
  { readings, isolation }: CaseFile,
): { looked: number; off: AnyEvidence[] } {
  // Read again at the same spot, the newest counts, and both are one: who stays on the wrong pin slipped once.
  const newest: AnyEvidence[] = [];
  for (const one of [...readings, ...isolation]) {
    const before = newest.findIndex((other) => isSameAct(other, one));
    if (before >= 0) newest.splice(before, 1);
    newest.push(one);
  }
  const isMember = (hypothesis: number) => members.includes(hypothesis);
  const looked = newest.flatMap((one) => {
    // Of those that showed the same, one is judged by itself, and the others by it.
    const told = (one.kind === 'wire' && shownAlready(one, { readings })[0]) || one;
    const reading = weighed.readings.find(({ id }) => id === told.id);
    return reading
      ? [{ one, off: mistakenProbability(reading, weighed, known, isMember) >= DOES_NOT_GO }]
      : [];
  });
  return { looked: looked.length, off: looked.filter((one) => one.off).map(({ one }) => one) };
}

/** A reading is worth taking again from here on. */
const DOUBTED = 0.25;

/**
 * Readings that stand alone and do not go with the others: mistaken, or of another quantity than was meant. Taking them again tells,
 * and costs least of all.
 */
export function doubtedReadings(
  weighed: WeighedCase,
  known: Posterior,
  { readings, isolation }: CaseFile,
): AnyEvidence[] {
  const taken = [...readings, ...isolation];
  return taken.filter((one) => {
    const reading = weighed.readings.find(({ id }) => id === one.id);
    if (!reading || taken.some((other) => other !== one && isSameAct(other, one))) return false;
    if (mistakenProbability(reading, weighed, known) >= DOUBTED) return true;
    const ofDrive = weighed.readings.filter(({ drive }) => drive === reading.drive);
    return ofDrive.length === 1 && unusualProbability(reading.drive, weighed, known) >= DOUBTED;
  });
}

/** How likely so many of so many readings, or more, are mistaken. */
export function byChance(mistaken: number, all: number): number {
  let fewer = 0;
  let each = (1 - MISTAKEN_SHARE) ** all;
  for (let k = 0; k < mistaken; k++) {
    fewer += each;
    each *= ((all - k) / (k + 1)) * (MISTAKEN_SHARE / (1 - MISTAKEN_SHARE));
  }
  return Math.max(0, 1 - fewer);
}
