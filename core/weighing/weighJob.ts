import type { Lane } from '../evidence/index.ts';
import { disagreements, type CaseFile, type Remark } from '../reasoning/index.ts';
import type { Reaches } from './candidates.ts';
import type { Decision } from './decisions.ts';
import { decisionWords, titleOf } from './decisionWords.ts';
import { Explainer, type Doubtful, type Statement } from './explain.ts';
import { judge, PLACE_SHARE, type Judgement } from './judge.ts';
import { kindsWithin } from './kindsWithin.ts';
import { nextInWords, type NextReading } from './nextWords.ts';
import { Weigher } from './weigher.ts';

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

export interface GateItemShown {
  label: string;
  shown: boolean;
}

/** Everything that the readings of a job come to, in words and numbers, ready to be shown or sent. */
export interface JobWeighing {
  /** Ranked; empty while nothing was read, since no ranking comes from nothing. */
  causes: WeighedCause[];
  verdict: Verdict;
  /** What must be on record before the leading cause may be named. */
  gate: GateItemShown[];
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

export interface WeighOptions {
  reaches?: Reaches;
}

/** The whole weighing of a job at once. */
export function weighJob(
  caseFile: CaseFile,
  wires: readonly Lane[],
  options: WeighOptions = {},
): JobWeighing {
  const weigher = weigherFor(caseFile, wires);
  const judgement = judge(weigher, caseFile, wires, options);
  return inWords(weigher, caseFile, judgement);
}

export function inWords(weigher: Weigher, caseFile: CaseFile, judgement: Judgement): JobWeighing {
  const { decisions, ranked, gate, suggestions, posterior } = judgement;
  const weighed = weigher.caseOf(caseFile);
  const nothingRead = weighed.readings.length === 0;
  const explainer = new Explainer(weigher, caseFile, weighed, decisions);
  const causes = ranked
    .filter(({ share }, i) => i === 0 || share >= WORTH_EXPLAINING)
    .slice(0, MOST_EXPLAINED)
    .map(({ decision, share }): WeighedCause => {
      const words = decisionWords(decision.id);
      return {
        cause: decision.id,
        title: words?.title ?? decision.id,
        class: decision.class,
        remedy: words?.remedy ?? '',
        lanes: words?.lanes ?? [],
        share,
        kinds: kindsWithin(decision, weigher.hypotheses, posterior),
        ...explainer.of(decisions.all.indexOf(decision)),
      };
    });
  return {
    causes: nothingRead ? [] : causes,
    verdict: nothingRead
      ? { decided: false, sentence: 'Not proven yet: no reading says anything so far.' }
      : verdictOn(judgement),
    gate: nothingRead ? [] : gate.map(({ label, shown }) => ({ label, shown })),
    next: suggestions
      .slice(0, MOST_SUGGESTED)
      .map((suggestion) => nextInWords(suggestion, decisions, caseFile)),
    doubtful: explainer.doubtful(posterior),
    disagreements: disagreements(caseFile),
    overturns: nothingRead ? undefined : overturns(judgement, caseFile),
  };
}

/** What a verdict may say on these readings, without the search for the next one: what guards the record. */
function verdictOn({ ranked, classes, gate, verdict, suggestions }: Judgement): Verdict {
  const leader = ranked[0]!;
  const words = decisionWords(leader.decision.id);
  const title = words?.title ?? leader.decision.id;
  if (verdict === 'decided')
    return {
      decided: true,
      cause: leader.decision.id,
      class: leader.decision.class,
      sentence: `${title}. ${words?.remedy ?? ''}`,
    };
  const missing = gate.filter(({ shown }) => !shown).map(({ label }) => lowerFirst(label));
  const second = ranked[1];
  const why =
    missing.length > 0
      ? `still to show: ${missing.join('; ')}`
      : verdict === 'cannot-tell'
        ? `these readings cannot tell it from “${second ? titleOf(second.decision.id) : ''}”, and none that is left would`
        : leader.share >= PLACE_SHARE && classes[0]!.share >= PLACE_SHARE
          ? `a cheap reading may still change the mind (${suggestions[0] ? lowerFirst(nextTitle(suggestions[0])) : ''})`
          : `“${second ? titleOf(second.decision.id) : ''}” still explains the readings`;
  return { decided: false, sentence: `Not proven yet. “${title}” leads; ${why}.` };
}

const nextTitle = ({ candidate: { target } }: Judgement['suggestions'][number]): string =>
  target.kind === 'observation' || target.kind === 'sweep' ? 'a look' : target.kind;

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

/** Weighers of the jobs last worked on: what the circuit would show stays worked out. */
const kept = new Map<string, Weigher>();
const MOST_KEPT = 4;

export function weigherFor(caseFile: CaseFile, wires: readonly Lane[]): Weigher {
  const { family, profile, companion, ambient } = caseFile;
  const key = JSON.stringify([family, profile, companion, wires, Math.round(ambient?.pressureKpaAbs ?? 0)]);
  const known = kept.get(key);
  if (known) return known;
  const weigher = new Weigher(caseFile, wires);
  if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
  kept.set(key, weigher);
  return weigher;
}

const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
