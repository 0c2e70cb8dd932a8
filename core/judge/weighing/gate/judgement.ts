import { sameState, sameTarget, spotOf, type Lane, type Spot } from '../../../machine/places/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import { candidatesFor, type Candidate, type Reachable, type Reaches } from '../outlook/candidates.ts';
import { minutesFor, placesOf } from '../outlook/minutesFor.ts';
import {
  classShares,
  decisionsFor,
  doubtLeftIn,
  namedBy,
  statedShares,
  type Decision,
  type Decisions,
} from '../posterior/decisions.ts';
import { Outlook, worthOf, type Foresight, type Worth } from '../outlook/foresight.ts';
import { gateItems, type GateItem } from './gate.ts';
import { PLACE_SHARE, shareToName } from './shareToName.ts';
import { wholeGate } from './loneWitness.ts';
import { doubtedReadings, misfitsOf } from './misfits.ts';
import { isForetold, type AnyEvidence } from '../../../record/evidence/index.ts';
import { posterior, type Posterior } from '../posterior/posterior.ts';
import { SWEEP_DRIVE } from '../likelihood/sweepLikelihood.ts';
import { TELEGRAM_DRIVE } from '../likelihood/telegramLikelihood.ts';
import type { WeighedCase } from '../hypotheses/weighedCase.ts';
import type { Weigher } from '../likelihood/weigher.ts';

/** A reading that may change the mind more often than this, and costs less than the part, is taken first. */
const MAY_CHANGE = 0.04;
const CHEAP_MINUTES = 6;
/** Readings that tell less than this, in bits, are not worth the walk. */
const LEAST_BITS = 0.01;

export interface Ranked {
  decision: Decision;
  share: number;
}

/** What the readings on record come to. */
export interface Standing {
  weighed: WeighedCase;
  posterior: Posterior;
  decisions: Decisions;
  ranked: readonly Ranked[];
  /** What a verdict would name. */
  named: Decision;
  /** Of that, with what is found at the same place. */
  placeShare: number;
  classes: readonly { class: Decision['class']; share: number }[];
  /** What the class of the leading decision has to have before it is named. */
  shareToName: number;
  gate: readonly GateItem[];
  /** What the leading decision does not explain, where it is more than chance allows. */
  misfits: readonly AnyEvidence[];
}

export interface Suggestion extends Worth {
  candidate: Candidate;
  minutes: number;
  foresight: Foresight;
  /** It stands between the leading cause and a verdict. */
  forGate?: GateItem;
  /** It was taken before. */
  again?: true;
}

export interface Judgement extends Standing {
  /** The best first. */
  suggestions: readonly Suggestion[];
  /** Of these, what may still bring a verdict: first what stands between it and the leading cause, then whatever tells something. */
  stillOpen: readonly Suggestion[];
  verdict: 'decided' | 'open' | 'cannot-tell';
}

/** What the readings on record come to at first sight: its gate does not yet know what would hang on one reading alone. */
export function firstStanding(weighed: WeighedCase, caseFile: CaseFile, wires: readonly Lane[]): Standing {
  const known = posterior(weighed);
  const decisions = decisionsFor(weighed.hypotheses);
  const shares = statedShares(decisions, known.shares);
  const ranked = decisions.all
    .map((decision, d) => ({ decision, share: shares[d]! }))
    .sort((a, b) => b.share - a.share);
  const leader = ranked[0]!.decision;
  const { named, placeShare } = namedBy(decisions, shares, decisions.all.indexOf(leader), PLACE_SHARE);
  const classes = classShares(decisions, shares);
  return {
    weighed,
    posterior: known,
    decisions,
    ranked,
    named,
    placeShare,
    classes,
    shareToName: shareToName(named, weighed.hypotheses, caseFile),
    gate: gateItems(named, caseFile, wires),
    misfits: [],
  };
}

/** With the whole gate, for which the readings are weighed again without each of them. */
export function withWholeGate(first: Standing, caseFile: CaseFile, wires: readonly Lane[]): Standing {
  const { weighed, posterior: known, decisions, named: decision } = first;
  const misfits = misfitsOf(decision, weighed, known, caseFile);
  if (!isSure(first)) return { ...first, misfits };
  return { ...first, gate: wholeGate(decision, weighed, known, decisions, caseFile, wires), misfits };
}

/** Whether nothing that is known explains what was read: then nothing is proven, however far something leads. */
export const isUnexplained = ({ ranked, misfits }: Pick<Standing, 'ranked' | 'misfits'>): boolean =>
  ranked[0]!.decision.class === 'unlisted' || misfits.length > 0;

/** Weighs the record as it stands. */
export const standingOf = (weighed: WeighedCase, caseFile: CaseFile, wires: readonly Lane[]): Standing =>
  withWholeGate(firstStanding(weighed, caseFile, wires), caseFile, wires);

const isSure = ({ classes, placeShare, shareToName: needed }: Standing): boolean =>
  classes[0]!.share >= needed && placeShare >= PLACE_SHARE;

/** Looks at every reading that could be taken next, one after the other, so that whoever asks can stop in between. */
export function* lookAhead(
  weigher: Weigher,
  caseFile: CaseFile,
  wires: readonly Lane[],
  standing: Standing,
  reaches: Reaches = {},
): Generator<Suggestion> {
  const { weighed, posterior: known, decisions, gate, misfits } = standing;
  const doubted = [...misfits, ...doubtedReadings(weighed, known, caseFile)]
    .filter(isForetold)
    .map((one) => ({ target: spotOf(one), state: one.state }));
  const outlook = new Outlook(weigher, caseFile, known, decisions);
  const taken = [...caseFile.readings, ...caseFile.isolation];
  const timesTaken = ({ target, state }: Candidate): number =>
    isReadingSpot(target)
      ? taken.filter((one) => sameTarget(one, target) && sameState(one.state, state)).length
      : 0;
  const isTaken = (candidate: Candidate): boolean => {
    const { target } = candidate;
    if (target.kind === 'sweep') return weighed.readings.some(({ drive }) => drive === SWEEP_DRIVE);
    if (target.kind === 'capture') return weighed.readings.some(({ drive }) => drive === TELEGRAM_DRIVE);
    if (target.kind === 'observation')
      return caseFile.observations.some(({ observation }) => observation === target.observation);
    // What stands against a verdict is worth reading once more, and so is what it hangs on alone.
    const again =
      gate.some((item) => item.state !== 'proven' && sameReading(item.reading, candidate)) ||
      doubted.some((one) => sameReading(one, candidate));
    return timesTaken(candidate) > (again ? 1 : 0);
  };
  const usual = candidatesFor(caseFile, wires);
  const besides = [
    ...gate.filter(({ state }) => state !== 'proven').map(({ reading }) => reading),
    ...doubted,
  ].filter((wanted) => !usual.some((one) => sameReading(one, wanted)));
  for (const candidate of [...usual, ...besides]) {
    if (reachedFor(candidate.target).some((one) => reaches[one] === 'out-of-reach')) continue;
    if (isTaken(candidate)) continue;
    const foresight = outlook.at(candidate);
    const forGate = gate.find((item) => item.state !== 'proven' && sameReading(item.reading, candidate));
    yield {
      candidate,
      minutes: minutesFor(candidate, taken, reaches),
      foresight,
      ...worthOf(foresight),
      ...(forGate ? { forGate } : {}),
      ...(timesTaken(candidate) > 0 ? { again: true } : {}),
    };
  }
}

/** Whether only what could still be read stands between the readings and a verdict. */
export const mayBeDecided = (standing: Standing): boolean =>
  isSure(standing) && !isUnexplained(standing) && standing.gate.every(({ state }) => state === 'proven');

/**
 * Whether a verdict may be given, and in which order the readings that are left are worth taking.
 *
 * @param lookedAt every reading that is left; undefined where nobody looked, so that nothing is decided
 */
export function judgementOn(standing: Standing, lookedAt: readonly Suggestion[] | undefined): Judgement {
  const suggestions = lookedAt ?? [];
  const sure = isSure(standing);
  const missing = suggestions.filter(({ forGate }) => forGate).sort((a, b) => a.minutes - b.minutes);
  // A mind is not changed for the better more often than it is wrong: noise of a reading alone is no doubt.
  const mayBeWrong = doubtLeftIn(standing.placeShare);
  const doubts = suggestions.filter(
    ({ mayChangeTheMind, minutes, bits }) =>
      bits > LEAST_BITS && Math.min(mayChangeTheMind, mayBeWrong) > MAY_CHANGE && minutes <= CHEAP_MINUTES,
  );
  const telling = byWorthOf(suggestions.filter(({ bits }) => bits > LEAST_BITS));
  const stillOpen = [...missing, ...telling.filter((one) => !missing.includes(one))];
  const verdict =
    lookedAt && mayBeDecided(standing) && doubts.length === 0
      ? 'decided'
      : lookedAt && stillOpen.length === 0
        ? 'cannot-tell'
        : 'open';
  const needed = sure ? suggestions : suggestions.map(({ forGate: _forGate, ...one }) => one);
  const byWorth = byWorthOf(needed);
  // Once one leads clearly, what stands between it and a verdict goes first.
  const first = sure ? missing : [];
  return {
    ...standing,
    suggestions: [...first, ...byWorth.filter((one) => !first.includes(one))],
    stillOpen,
    verdict,
  };
}

/** What tells most in a minute first. */
const byWorthOf = (suggestions: readonly Suggestion[]): Suggestion[] =>
  [...suggestions].sort((a, b) => b.bits / b.minutes - a.bits / a.minutes);

/** All of it at once. */
export function judge(
  weigher: Weigher,
  caseFile: CaseFile,
  wires: readonly Lane[],
  reaches: Reaches = {},
): Judgement {
  const standing = standingOf(weigher.caseOf(caseFile), caseFile, wires);
  return judgementOn(standing, [...lookAhead(weigher, caseFile, wires, standing, reaches)]);
}

/** What has to be got at for a reading. */
const reachedFor = (target: Candidate['target']): Reachable[] =>
  target.kind === 'live-volts' ? ['live-volts'] : placesOf(target);

/** Something that an instrument is put on, rather than a recording or a look. */
const isReadingSpot = (target: Candidate['target']): target is Spot =>
  target.kind !== 'sweep' && target.kind !== 'capture' && target.kind !== 'observation';

const sameReading = (a: Candidate, b: Candidate): boolean =>
  isReadingSpot(a.target) &&
  isReadingSpot(b.target) &&
  sameTarget(a.target, b.target) &&
  sameState(a.state, b.state);
