import { sameTarget } from '../evidence/index.ts';
import { cautionsFor } from '../safety/index.ts';
import type { CaseFile } from './caseFile.ts';
import { CAUSE_IDS, causeOf, type CauseId } from './causes.ts';
import { checkOf, type Check, type CheckId } from './checks.ts';
import { checkFor, checksFor } from './familyScope.ts';
import type { Finding } from './finding.ts';
import { gateFor } from './gate.ts';
import { locateBreak } from './locateBreak.ts';
import { likelihood } from './likelihoodTable.ts';
import type { NextReading } from './suggestion.ts';

export type Weights = ReadonlyMap<CauseId, number>;

/** A cause is named when its share reaches this, and its gate is met. */
export const DECIDING_SHARE = 0.85;
/** From here on the next readings serve the proof of the leading cause rather than the search. */
const LEADING_SHARE = 0.7;

/** The check with the most expected information per minute; once one cause leads, what its proof still lacks. */
export function nextReading(
  caseFile: CaseFile,
  weights: Weights,
  findings: readonly Finding[],
): NextReading | undefined {
  const [leader] = ranked(weights);
  const { family } = caseFile;
  const open = checksFor(family).filter((id) => isOpen(id, caseFile, findings));
  if (leader && leader.share >= LEADING_SHARE) {
    const missing = gateFor(leader.cause, findings, family).items.find(
      ({ check }) => check && open.includes(check),
    );
    if (missing?.check) {
      const why = `“${causeOf(leader.cause).title}” leads. Still to show: ${lowerFirst(missing.label)}.`;
      return describe(missing.check, caseFile, weights, why);
    }
    if (leader.share >= DECIDING_SHARE && gateFor(leader.cause, findings, family).met) {
      return locateBreak(leader.cause, caseFile);
    }
  }
  const best = open
    .map((id) => ({
      id,
      worth: expectedInformation(id, weights) / minutesLeft(checkFor(id, family), caseFile),
    }))
    .reduce<{ id: CheckId; worth: number } | undefined>(
      (top, one) => (!top || one.worth > top.worth ? one : top),
      undefined,
    );
  return best && describe(best.id, caseFile, weights, whyItSeparates(best.id, weights));
}

/** Worth making: not answered yet, and some reading of it still to take. */
function isOpen(id: CheckId, caseFile: CaseFile, findings: readonly Finding[]): boolean {
  return (
    !findings.some(({ check }) => check === id) &&
    missingNeeds(checkFor(id, caseFile.family), caseFile).length > 0
  );
}

const missingNeeds = (check: Check, { readings }: CaseFile) =>
  check.needs.filter(
    ({ target, state }) =>
      !readings.some(
        (reading) =>
          sameTarget(reading, target) &&
          reading.state.engine === state.engine &&
          reading.state.plug === state.plug &&
          reading.state.stimulus?.kind === state.stimulus?.kind,
      ),
  );

const minutesLeft = (check: Check, caseFile: CaseFile): number =>
  check.minutesPerReading * missingNeeds(check, caseFile).length;

/** Mutual information of cause and answer, in bits. */
export function expectedInformation(id: CheckId, weights: Weights): number {
  let bits = 0;
  for (const outcome of Object.keys(checkOf(id).outcomes)) {
    const overall = CAUSE_IDS.reduce(
      (sum, cause) => sum + share(weights, cause) * likelihood(id, [outcome], cause),
      0,
    );
    for (const cause of CAUSE_IDS) {
      const p = likelihood(id, [outcome], cause);
      if (p > 0 && overall > 0) bits += share(weights, cause) * p * Math.log2(p / overall);
    }
  }
  return bits;
}

/** Bayes' rule for one more answer. */
export function afterAnswer(weights: Weights, id: CheckId, outcomes: readonly string[]): Weights {
  const raw = CAUSE_IDS.map(
    (cause) => [cause, share(weights, cause) * likelihood(id, outcomes, cause)] as const,
  );
  const total = raw.reduce((sum, [, weight]) => sum + weight, 0);
  return new Map(raw.map(([cause, weight]) => [cause, weight / total]));
}

export const ranked = (weights: Weights): { cause: CauseId; share: number }[] =>
  [...weights]
    .filter(([, weight]) => weight > 0)
    .map(([cause, weight]) => ({ cause, share: weight }))
    .sort((a, b) => b.share - a.share);

function whyItSeparates(id: CheckId, weights: Weights): string {
  const outcomes = Object.keys(checkOf(id).outcomes);
  const spread = (a: CauseId, b: CauseId) =>
    outcomes.reduce((sum, o) => sum + Math.abs(likelihood(id, [o], a) - likelihood(id, [o], b)), 0) *
    share(weights, a) *
    share(weights, b);
  const top = ranked(weights).map(({ cause }) => cause);
  let pair: [CauseId, CauseId] | undefined;
  for (const a of top) for (const b of top) if (!pair || spread(a, b) > spread(...pair)) pair = [a, b];
  return pair && pair[0] !== pair[1]
    ? `Tells “${causeOf(pair[0]).title}” from “${causeOf(pair[1]).title}”.`
    : 'Settles what the other readings rest on.';
}

function describe(id: CheckId, caseFile: CaseFile, weights: Weights, why: string): NextReading | undefined {
  const check = checkFor(id, caseFile.family);
  const need = missingNeeds(check, caseFile)[0];
  if (!need) return undefined;
  return {
    ...need,
    question: check.question,
    why,
    how: check.how,
    cautions: cautionsFor(need.target, need.state),
    minutes: minutesLeft(check, caseFile),
    answers: Object.entries(check.outcomes).map(([outcome, words]) => {
      const [then] = ranked(afterAnswer(weights, id, [outcome]));
      return { outcome: words, then: then ? causeOf(then.cause).title : '' };
    }),
  };
}

const share = (weights: Weights, cause: CauseId): number => weights.get(cause) ?? 0;
const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
