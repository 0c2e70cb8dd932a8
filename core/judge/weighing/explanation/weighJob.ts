import { list, sameMessage, say, type Message } from '../../../measure/message/index.ts';
import type { Lane } from '../../../machine/places/index.ts';
import { disagreements, type CaseFile, type Remark } from '../../checks/index.ts';
import type { CauseClass } from '../../priors/index.ts';
import { tellsNothing } from './answerMeanings.ts';
import { isCode } from '../likelihood/codeEvidence.ts';
import type { Candidate } from '../outlook/candidates.ts';
import type { Decision } from '../posterior/decisions.ts';
import { lanesOfCause } from '../posterior/cause.ts';
import { remedySaid, titleSaid } from '../posterior/causeSaid.ts';
import { Explainer, type Doubtful, type Statement } from './explain.ts';
import type { GateItem } from '../gate/gate.ts';
import {
  isUnexplained,
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
import { planOf, type Plan } from './plan.ts';
import { readingSaid } from './readingSaid.ts';
import { candidateSaid, nextReading, type NextReading } from './nextReading.ts';
import { weigherFor } from '../likelihood/keptWeighers.ts';
import { NO_WHAT_IF, tried, type WhatIf } from '../outlook/whatIf.ts';

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

export type Verdict =
  | { decided: true; cause: string; class: CauseClass; sentence: Message }
  | { decided: false; sentence: Message };

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

/** The best ones; one whose every answer would leave all as it is is not asked for. */
function worthAsking(
  { suggestions, decisions }: Judgement,
  caseFile: CaseFile,
): { suggestion: Suggestion; next: NextReading }[] {
  const worth: { suggestion: Suggestion; next: NextReading }[] = [];
  for (const suggestion of suggestions) {
    const next = nextReading(suggestion, decisions, caseFile);
    if (suggestion.forGate || !tellsNothing(next.answers)) worth.push({ suggestion, next });
    if (worth.length === MOST_SUGGESTED) break;
  }
  return worth;
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

/** What a verdict may say on these readings, without the search for the next one: what guards the record. */
function verdictOn(
  judgement: Judgement,
  caseFile: CaseFile,
  wrong: readonly Remark[],
  asked: Candidate | undefined,
): Verdict {
  const { id, cause, class: sort } = judgement.ranked[0]!.decision;
  if (judgement.verdict !== 'decided')
    return { decided: false, sentence: whyNotYet(judgement, caseFile, asked) };
  if (sort === 'nothing' && wrong.length > 0)
    return { decided: false, sentence: say('verdict.something-wrong', { remark: wrong[0]!.sentence }) };
  const sentence = say('verdict.decided', { title: titleSaid(cause), remedy: remedySaid(cause) });
  return { decided: true, cause: id, class: sort, sentence };
}

/** @param asked what is shown as the next reading; undefined where none is worth asking for */
function whyNotYet(judgement: Judgement, caseFile: CaseFile, asked: Candidate | undefined): Message {
  const { ranked, placeShare, classes, gate, misfits } = judgement;
  const cannotTell = judgement.verdict === 'cannot-tell' || asked === undefined;
  if (misfits.length > 0)
    return say('verdict.none-explains-these', {
      readings: list(
        misfits.map((one) => readingSaid(one, caseFile)),
        'and',
      ),
      count: misfits.length,
    });
  if (isUnexplained(judgement)) return say('verdict.none-explains');
  const title = titleSaid(ranked[0]!.decision.cause);
  const labelled = (wanted: GateItem['state']) =>
    gate.filter(({ state }) => state === wanted).map(({ label }) => label);
  const [missing, refuted] = [labelled('missing'), labelled('refuted')];
  if (refuted[0]) return say('verdict.refuted', { title, item: refuted[0] });
  if (missing.length > 0) return say('verdict.still-to-show', { title, items: list(missing, 'semicolons') });
  if (!cannotTell && placeShare >= PLACE_SHARE && classes[0]!.share >= PLACE_SHARE)
    return say('verdict.one-more-look', {
      title,
      look: candidateSaid(asked),
      isQuestion: asked.target.kind === 'observation',
    });
  const second = ranked[1];
  if (!second) return say('verdict.leads-alone', { title });
  return say(cannotTell ? 'verdict.cannot-tell' : 'verdict.also-explains', {
    title,
    second: titleSaid(second.decision.cause),
  });
}

function overturns({ ranked, suggestions, decisions }: Judgement, caseFile: CaseFile): Message | undefined {
  const most = suggestions.reduce<Judgement['suggestions'][number] | undefined>(
    (best, one) => (!best || one.mayChangeTheMind > best.mayChangeTheMind ? one : best),
    undefined,
  );
  if (!most) return undefined;
  const leader = titleSaid(ranked[0]!.decision.cause);
  const { title, answers } = nextReading(most, decisions, caseFile);
  const other = answers.find(({ then }) => !sameMessage(then, leader));
  return other && say('verdict.overturned-by', { reading: title, outcome: other.outcome, then: other.then });
}
