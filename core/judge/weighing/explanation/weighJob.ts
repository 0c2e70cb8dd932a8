import type { Lane } from '../../../machine/places/index.ts';
import { disagreements, type CaseFile, type Remark } from '../../checks/index.ts';
import { tellsNothing } from './answerMeanings.ts';
import { isCode } from '../likelihood/codeEvidence.ts';
import type { Decision } from '../posterior/decisions.ts';
import { decisionWords, titleOf } from '../posterior/decisionWords.ts';
import { Explainer, type Doubtful, type Statement } from './explain.ts';
import type { GateItem } from '../gate/gate.ts';
import {
  judgementOn,
  lookAhead,
  PLACE_SHARE,
  firstStanding,
  withWholeGate,
  type Judgement,
  type Standing,
  type Suggestion,
} from '../gate/judgement.ts';
import { kindsWithin } from '../posterior/kindsWithin.ts';
import { nextInWords, titleOfCandidate, type NextReading } from './nextWords.ts';
import { weigherFor } from '../likelihood/keptWeighers.ts';
import { NO_WHAT_IF, tried, type WhatIf } from '../outlook/whatIf.ts';
import { lowerFirst, upperFirst } from '../../wording/index.ts';

export type CauseClass = Decision['class'];

export interface WeighedCause {
  /** Name of the decision: what a verdict records. */
  cause: string;
  title: string;
  class: CauseClass;
  remedy: string;
  lanes: readonly Lane[];
  /** 0 to 1; those of all causes sum to one. */
  share: number;
  /** What about it, likeliest first, where more than one thing comes to the same work. */
  kinds: readonly { name: string; share: number }[];
  speaksFor: Statement[];
  speaksAgainst: Statement[];
}

export type Verdict =
  | { decided: true; cause: string; class: CauseClass; sentence: string }
  | { decided: false; sentence: string };

/** Everything that the readings of a job come to, in words and numbers, ready to be shown or sent. */
export interface JobWeighing {
  /** How far it has come: `next` has the verdict and what to read next, `reasons` everything. */
  stage: 'ranked' | 'next' | 'reasons';
  /** Ranked; empty while nothing was read, since no ranking comes from nothing. */
  causes: WeighedCause[];
  verdict: Verdict;
  /** What must be on record before the leading cause may be named. */
  gate: Pick<GateItem, 'label' | 'state'>[];
  /** The best three readings to take next. */
  next: NextReading[];
  /** Readings that the others contradict. */
  doubtful: Doubtful[];
  /** What is shown to be wrong without saying why. */
  disagreements: Remark[];
  /** What would overturn the leading cause. */
  overturns: string | undefined;
}

const WORTH_EXPLAINING = 0.01;
const MOST_EXPLAINED = 5;
const MOST_SUGGESTED = 3;
/** After so many candidates the best so far are shown. */
const FIRST_LOOK = 8;

/** The whole weighing of a job at once. */
export function weighJob(
  caseFile: CaseFile,
  wires: readonly Lane[],
  whatIf: WhatIf = NO_WHAT_IF,
): JobWeighing {
  let last: JobWeighing | undefined;
  for (const stage of weighInStages(caseFile, wires, whatIf)) last = stage ?? last;
  return last!;
}

/**
 * The weighing of a job as it comes: first the ranking, then the readings worth taking next while they are looked for, then
 * the reasons. Gives undefined in between, so that whoever runs it can stop.
 */
export function* weighInStages(
  onRecord: CaseFile,
  wires: readonly Lane[],
  whatIf: WhatIf = NO_WHAT_IF,
): Generator<JobWeighing | undefined> {
  const caseFile = tried(onRecord, whatIf);
  const weigher = weigherFor(caseFile, wires);
  const weighed = weigher.caseOf(caseFile);
  const first = firstStanding(weighed, caseFile, wires);
  const shown = first.ranked.filter(
    ({ decision, share }, i) =>
      (i < MOST_EXPLAINED && (i === 0 || share >= WORTH_EXPLAINING)) || decision.id === whatIf.suppose,
  );
  const nothingRead = weighed.readings.every(isCode);
  const bare = shown.map(({ decision, share }) => causeOf(decision, share, first));
  const wrong = disagreements(caseFile);
  const view = (stage: JobWeighing['stage'], judgement: Judgement, causes: WeighedCause[]): JobWeighing => ({
    stage,
    causes: nothingRead ? [] : causes,
    verdict: nothingRead
      ? { decided: false, sentence: 'No reading says anything so far.' }
      : stage === 'ranked'
        ? { decided: false, sentence: 'Looking for what to read next.' }
        : verdictOn(judgement, wrong),
    gate: nothingRead ? [] : judgement.gate.map(({ label, state }) => ({ label, state })),
    next: worthAsking(judgement, caseFile),
    doubtful: [],
    disagreements: wrong,
    overturns: nothingRead ? undefined : overturns(judgement, caseFile),
  });

  const found: Suggestion[] = [];
  yield view('ranked', judgementOn(first, found), bare);
  const standing = withWholeGate(first, caseFile, wires);
  yield undefined;
  for (const suggestion of lookAhead(weigher, caseFile, wires, standing, whatIf.reaches)) {
    found.push(suggestion);
    yield found.length === FIRST_LOOK ? view('ranked', judgementOn(standing, found), bare) : undefined;
  }
  const judgement = judgementOn(standing, found);
  yield view('next', judgement, bare);
  // Only now: the ranking does not wait for its reasons.
  const explainer = new Explainer(weigher, caseFile, standing);
  const causes: WeighedCause[] = [];
  for (const cause of bare) {
    const decision = standing.decisions.all.findIndex(({ id }) => id === cause.cause);
    causes.push({ ...cause, ...explainer.of(decision) });
    yield undefined;
  }
  yield { ...view('reasons', judgement, causes), doubtful: explainer.doubtful(standing.posterior) };
}

/** The best ones; one whose every answer would leave all as it is is not asked for. */
function worthAsking({ suggestions, decisions }: Judgement, caseFile: CaseFile): NextReading[] {
  const worth: NextReading[] = [];
  for (const suggestion of suggestions) {
    const next = nextInWords(suggestion, decisions, caseFile);
    if (suggestion.forGate || !tellsNothing(next.answers)) worth.push(next);
    if (worth.length === MOST_SUGGESTED) break;
  }
  return worth;
}

function causeOf(decision: Decision, share: number, { weighed, posterior }: Standing): WeighedCause {
  const words = decisionWords(decision.id);
  return {
    cause: decision.id,
    title: words?.title ?? decision.id,
    class: decision.class,
    remedy: words?.remedy ?? '',
    lanes: words?.lanes ?? [],
    share,
    kinds: kindsWithin(decision, weighed.hypotheses, posterior),
    speaksFor: [],
    speaksAgainst: [],
  };
}

/** What a verdict may say on these readings, without the search for the next one: what guards the record. */
function verdictOn(
  { ranked, placeShare, classes, gate, verdict, suggestions }: Judgement,
  wrong: readonly Remark[],
): Verdict {
  const leader = ranked[0]!;
  const words = decisionWords(leader.decision.id);
  const title = words?.title ?? leader.decision.id;
  if (verdict === 'decided' && leader.decision.class === 'nothing' && wrong.length > 0)
    return { decided: false, sentence: `Something is wrong. ${wrong[0]!.sentence}` };
  if (verdict === 'decided')
    return {
      decided: true,
      cause: leader.decision.id,
      class: leader.decision.class,
      sentence: `${title}. ${words?.remedy ?? ''}`,
    };
  const labelled = (wanted: GateItem['state']) =>
    gate.filter(({ state }) => state === wanted).map(({ label }) => lowerFirst(label));
  const [missing, refuted] = [labelled('missing'), labelled('refuted')];
  const second = ranked[1];
  const why =
    refuted.length > 0
      ? `against it: “${refuted[0]}” does not hold`
      : missing.length > 0
        ? `still to show: ${missing.join('; ')}`
        : verdict === 'cannot-tell'
          ? `these readings cannot tell it from “${second ? titleOf(second.decision.id) : ''}”, and none that is left would`
          : placeShare >= PLACE_SHARE && classes[0]!.share >= PLACE_SHARE
            ? `one more look is cheap and may change the mind: ${suggestions[0] ? titleOfCandidate(suggestions[0].candidate) : ''}`
            : `“${second ? titleOf(second.decision.id) : ''}” still explains the readings`;
  return {
    decided: false,
    sentence: `“${title}” leads; ${why}${why.endsWith('?') ? '' : '.'}`,
  };
}

function overturns({ ranked, suggestions, decisions }: Judgement, caseFile: CaseFile): string | undefined {
  const most = suggestions.reduce<Judgement['suggestions'][number] | undefined>(
    (best, one) => (!best || one.mayChangeTheMind > best.mayChangeTheMind ? one : best),
    undefined,
  );
  if (!most) return undefined;
  const leader = titleOf(ranked[0]!.decision.id);
  const { title, answers } = nextInWords(most, decisions, caseFile);
  const other = answers.find(({ then }) => then !== leader);
  return other && `${upperFirst(title)}: ${other.outcome} would point to “${other.then}”.`;
}
