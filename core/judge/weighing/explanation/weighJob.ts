import { say, type Message } from '../../../measure/message/index.ts';
import type { Lane } from '../../../machine/places/index.ts';
import { disagreements, type CaseFile, type Remark } from '../../checks/index.ts';
import type { CauseClass } from '../../priors/index.ts';
import { tellsNothing } from './answerMeanings.ts';
import { isCode } from '../likelihood/codeEvidence.ts';
import type { Decision } from '../posterior/decisions.ts';
import { lanesOfCause } from '../posterior/cause.ts';
import { remedySaid, titleSaid } from '../posterior/causeSaid.ts';
import { Explainer, type Doubtful, type Statement } from './explain.ts';
import type { GateItem } from '../gate/gate.ts';
import {
  judgementOn,
  lookAhead,
  firstStanding,
  withWholeGate,
  type Judgement,
  type Standing,
  type Suggestion,
} from '../gate/judgement.ts';
import { kindsWithin } from '../posterior/kindsWithin.ts';
import { planOf, type Plan } from './plan.ts';
import { nextReading, type NextReading } from './nextReading.ts';
import { weigherFor } from '../likelihood/keptWeighers.ts';
import { NO_WHAT_IF, tried, type WhatIf } from '../outlook/whatIf.ts';
import { type Verdict, verdictOn, overturns } from './verdictOn.ts';

export interface WeighedCause {
  /** Name of the decision: what a verdict records. */
  cause: string;
  title: Message;
  class: CauseClass;
  remedy: Message;
  lanes: readonly Lane[];
  /** 0 to 1; those of all causes sum to one. */
  share: number;
  /** What about it, likeliest first, where more than one thing comes to the same work. */
  kinds: readonly { name: Message; share: number }[];
  speaksFor: Statement[];
  speaksAgainst: Statement[];
}

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
  overturns: Message | undefined;
  /** Before the first reading: what is suspected, and where to begin. */
  plan?: Plan;
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
  const view = (stage: JobWeighing['stage'], judgement: Judgement, causes: WeighedCause[]): JobWeighing => {
    const asked = worthAsking(judgement, caseFile);
    return {
      stage,
      causes: nothingRead ? [] : causes,
      verdict: nothingRead
        ? { decided: false, sentence: say('proof.nothing-read') }
        : stage === 'ranked'
          ? { decided: false, sentence: say('verdict.looking') }
          : verdictOn(judgement, caseFile, wrong, asked[0]?.suggestion.candidate),
      gate: nothingRead ? [] : judgement.gate.map(({ label, state }) => ({ label, state })),
      next: asked.map(({ next }) => next),
      doubtful: [],
      disagreements: wrong,
      overturns: nothingRead ? undefined : overturns(judgement, caseFile),
      ...(nothingRead && stage !== 'ranked' ? { plan: planOf(judgement, caseFile) } : {}),
    };
  };

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

/**
 * The best ones. One whose every answer would leave all as it is is not asked for, but where it is still to be shown, or where all
 * are like that: then the steps to a verdict are small, and none is no way there.
 */
function worthAsking(
  { suggestions, stillOpen, decisions }: Judgement,
  caseFile: CaseFile,
): { suggestion: Suggestion; next: NextReading }[] {
  const worth: { suggestion: Suggestion; next: NextReading }[] = [];
  const toBeShown = stillOpen.filter(({ forGate }) => forGate).map(({ candidate }) => candidate);
  for (const suggestion of suggestions) {
    const next = nextReading(suggestion, decisions, caseFile);
    if (toBeShown.includes(suggestion.candidate) || !tellsNothing(next.answers))
      worth.push({ suggestion, next });
    if (worth.length === MOST_SUGGESTED) break;
  }
  if (worth.length > 0) return worth;
  return stillOpen
    .slice(0, MOST_SUGGESTED)
    .map((suggestion) => ({ suggestion, next: nextReading(suggestion, decisions, caseFile) }));
}

function causeOf(decision: Decision, share: number, standing: Standing): WeighedCause {
  const { id, cause, class: sort } = decision;
  return {
    cause: id,
    title: titleSaid(cause),
    class: sort,
    remedy: remedySaid(cause),
    lanes: lanesOfCause(cause),
    share,
    kinds: kindsWithin(decision, standing.weighed.hypotheses, standing.posterior),
    speaksFor: [],
    speaksAgainst: [],
  };
}
