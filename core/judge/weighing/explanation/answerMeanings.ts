import { list, sameMessage, say, type Message } from '../../../measure/message/index.ts';
import { isPulses, isTarget } from '../../../machine/places/index.ts';
import { expectedPulses, expectedReading } from '../../expectation/index.ts';
import { observationOf } from '../../../record/observation/index.ts';
import { expectationContext, LINE_SEEN, type CaseFile } from '../../checks/index.ts';
import type { Candidate } from '../outlook/candidates.ts';
import type { Decisions } from '../posterior/decisions.ts';
import { titleOf } from '../posterior/causeSaid.ts';
import type { Foresight } from '../outlook/foresight.ts';
import { MISTAKEN_SHARE } from '../likelihood/readingLikelihood.ts';
import { shownOn } from './readingSaid.ts';
import { jumpsIn, SWEEP_OUTCOMES } from '../likelihood/sweepLikelihood.ts';

/** What one answer of a reading that was not taken yet would mean. */
export interface AnswerMeaning {
  outcome: Message;
  /** Title of what leads after it. */
  then: Message;
  /** How sure that is after it, beside now. */
  change: 'surer' | 'as-now' | 'less-sure';
  /** Of all of `outcome`: it is what a sound machine shows there. */
  asExpected: boolean;
  probability: number;
  /** Of a voltage: from where to where, so that it can be drawn. */
  volts?: { from: number; to: number };
}

/** A meaning rarer than this is not worth the eye's time, unless it is the only other one. */
const WORTH_TELLING = 0.03;
const RARE = 0.005;
const MOST_TOLD = 4;
/** Surer by less than this is as sure as now. */
const CHANGED_SHARE = 0.02;
/** Fewer steps than this are answers of their own, and not a scale. */
const FEW_STEPS = 4;

interface AnswerRange {
  decision: number;
  asExpected: boolean;
  from: number;
  to: number;
  probability: number;
  /** By decision: together with an answer in the range. */
  weights: Float64Array;
}

/**
 * The readings that would come, gathered by what would lead after them. What is expected of a sound machine there is always an
 * answer of its own, so that no range has part of it and means the opposite.
 */
export function answersOf(
  foresight: Foresight,
  candidate: Candidate,
  decisions: Decisions,
  caseFile: CaseFile,
): AnswerMeaning[] {
  const { joint, scale } = foresight;
  const now = Float64Array.from(joint, (row) => row.reduce((sum, weight) => sum + weight, 0));
  const outcomeOf = ({ from, to }: AnswerRange) => outcomeSaid(candidate, from, to, scale.readAt, caseFile);
  const told = alikeAsOne(joined(rangesOf(foresight, bandOf(candidate, caseFile))), outcomeOf)
    .filter(({ probability }) => probability >= RARE)
    .sort((a, b) => b.probability - a.probability);
  const common = told.filter(({ probability }) => probability >= WORTH_TELLING);
  // What would change the mind is told, however rare, where nothing else would.
  const other =
    common.every(({ decision }) => decision === common[0]?.decision) &&
    told.find(({ decision }) => decision !== common[0]?.decision);
  return [...common.slice(0, MOST_TOLD), ...(other ? [other] : [])].map((range) => {
    const { decision, asExpected, probability, weights } = range;
    const gained = weights[decision]! / probability - now[decision]!;
    return {
      outcome: outcomeOf(range),
      then: titleOf(decisions.all[decision]!.id),
      change: gained > CHANGED_SHARE ? 'surer' : gained < -CHANGED_SHARE ? 'less-sure' : 'as-now',
      asExpected,
      probability,
      ...(isVolts(candidate)
        ? { volts: { from: scale.readAt(range.from), to: scale.readAt(range.to) } }
        : {}),
    };
  });
}

/** Whatever it showed, it would leave everything as it is: not worth asking for. */
export const tellsNothing = (answers: readonly AnswerMeaning[]): boolean =>
  answers.every(({ then, change }) => sameMessage(then, answers[0]!.then) && change === 'as-now');

function rangesOf(
  { joint, scale }: Foresight,
  band: { lowest: number; highest: number } | undefined,
): AnswerRange[] {
  const ranges: AnswerRange[] = [];
  // Where it would be nothing but a mistake, no answer begins or ends.
  const least = (2 * MISTAKEN_SHARE) / scale.steps;
  for (let step = 0; step < scale.steps; step++) {
    const weights = Float64Array.from(joint, (row) => row[step]!);
    const probability = weights.reduce((sum, weight) => sum + weight, 0);
    if (probability < least && scale.steps > FEW_STEPS) continue;
    const reads = scale.readAt(step);
    const asExpected = band !== undefined && band.lowest <= reads && reads <= band.highest;
    const last = ranges.at(-1);
    if (asExpected && last?.asExpected) add(last, { to: step, probability, weights });
    else
      ranges.push({
        decision: NOBODY_YET,
        asExpected,
        from: step,
        to: step,
        probability,
        weights,
      });
  }
  for (const one of ranges) one.decision = leaderOf(one.weights);
  return ranges;
}

const NOBODY_YET = -1;

/** Neighbours with one meaning are one; steps are answers of their own where there are few. */
function joined(ranges: readonly AnswerRange[]): AnswerRange[] {
  const found: AnswerRange[] = [];
  for (const one of ranges) {
    const last = found.at(-1);
    if (last?.decision === one.decision && last.asExpected === one.asExpected) add(last, one);
    else found.push(one);
  }
  return found;
}

/** An instrument that shows the same is one answer, whatever was behind it. */
function alikeAsOne(
  ranges: readonly AnswerRange[],
  outcomeOf: (range: AnswerRange) => Message,
): AnswerRange[] {
  const byOutcome = new Map<string, AnswerRange>();
  for (const one of ranges) {
    const outcome = JSON.stringify(outcomeOf(one));
    const same = byOutcome.get(outcome);
    if (!same) byOutcome.set(outcome, one);
    else {
      add(same, { ...one, to: Math.max(same.to, one.to) });
      same.decision = leaderOf(same.weights);
    }
  }
  return [...byOutcome.values()];
}

function add(
  range: AnswerRange,
  { to, probability, weights }: Pick<AnswerRange, 'to' | 'probability' | 'weights'>,
) {
  range.to = to;
  range.probability += probability;
  range.weights = range.weights.map((weight, d) => weight + weights[d]!);
}

const leaderOf = (weights: Float64Array): number =>
  weights.reduce((leader, weight, d) => (weight > weights[leader]! ? d : leader), 0);

const isVolts = ({ target }: Pick<Candidate, 'target'>): boolean =>
  target.kind === 'wire' || target.kind === 'between' || target.kind === 'live-volts';

/** What a sound machine shows there. */
function bandOf({ target, state }: Candidate, caseFile: CaseFile) {
  if (target.kind !== 'observation' && isPulses(target))
    return expectedPulses(state, expectationContext(caseFile));
  if (
    target.kind === 'observation' ||
    target.kind === 'sweep' ||
    target.kind === 'capture' ||
    !isTarget(target)
  )
    return undefined;
  return expectedReading(target, state, expectationContext(caseFile));
}

function outcomeSaid(
  { target }: Candidate,
  from: number,
  to: number,
  readAt: (step: number) => number,
  caseFile: CaseFile,
): Message {
  if (target.kind === 'observation') {
    const { yes, no } = observationOf(target.observation);
    return anyOf(from === to ? [from === 0 ? yes : no] : [yes, no]);
  }
  if (target.kind === 'sweep')
    return anyOf(
      Array.from({ length: to - from + 1 }, (_, i) => {
        const outcome = SWEEP_OUTCOMES[from + i]!;
        if (jumpsIn(outcome)) return say('outcome.jumps');
        return outcome === '' ? say('outcome.no-dropout') : say('outcome.drops-out', { tracks: outcome });
      }),
    );
  if (target.kind === 'capture')
    return anyOf(LINE_SEEN.slice(from, to + 1).map((seen) => say(`outcome.line-${seen}`)));
  const shown = (step: number) => shownOn(target.kind, readAt(step), caseFile);
  const ofVolts = isVolts({ target });
  // Nobody looks for a minus sign, or for more than a battery has.
  const below = ofVolts && readAt(from) < -LEAST_MINUS_VOLTS;
  const above = ofVolts && readAt(to) > HIGHEST_LOOKED_FOR_VOLTS;
  if (below && above) return say('outcome.whatever');
  if (below)
    return readAt(to) < LEAST_MINUS_VOLTS
      ? say('outcome.or-less', { value: shown(to) })
      : say('outcome.below', { value: shown(to) });
  if (above) return say('outcome.above', { value: shown(from) });
  const [low, high] = [shown(from), shown(to)];
  return JSON.stringify(low) === JSON.stringify(high)
    ? say('outcome.about', { value: low })
    : say('outcome.between', { low, high });
}

const anyOf = (outcomes: readonly Message[]): Message =>
  outcomes.length === 1 ? outcomes[0]! : say('outcome.any', { outcomes: list(outcomes, 'or') });

const LEAST_MINUS_VOLTS = 0.02;
const HIGHEST_LOOKED_FOR_VOLTS = 12;
