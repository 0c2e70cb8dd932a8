import { sameState, sameTarget, type Lane } from '../evidence/index.ts';
import type { CaseFile } from '../reasoning/index.ts';
import { candidatesFor, minutesFor, placesOf, type Candidate, type Reaches } from './candidates.ts';
import { classShares, decisionShares, decisionsFor, type Decision, type Decisions } from './decisions.ts';
import { Outlook, worthOf, type Foresight, type Worth } from './foresight.ts';
import { gateItems, type GateItem } from './gate.ts';
import { posterior, type Posterior } from './posterior.ts';
import { SWEEP_DRIVE } from './sweepLikelihood.ts';
import type { Weigher } from './weigher.ts';

/** A class is named from here on. */
export const CLASS_SHARE = 0.96;
/** So is a place, which a look at it confirms. */
export const PLACE_SHARE = 0.85;
/** A reading that may change the mind more often than this, and costs less than the part, is taken first. */
const MAY_CHANGE = 0.035;
const CHEAP_MINUTES = 6;
/** Readings that tell less than this, in bits, are not worth the walk. */
const LEAST_BITS = 0.01;

export interface Ranked {
  decision: Decision;
  share: number;
}

export interface Suggestion extends Worth {
  candidate: Candidate;
  minutes: number;
  foresight: Foresight;
  /** It stands between the leading cause and a verdict. */
  forGate?: GateItem;
}

export interface Judgement {
  posterior: Posterior;
  decisions: Decisions;
  ranked: readonly Ranked[];
  classes: readonly { class: Decision['class']; share: number }[];
  gate: readonly GateItem[];
  /** The best first. */
  suggestions: readonly Suggestion[];
  verdict: 'decided' | 'open' | 'cannot-tell';
}

export interface JudgeOptions {
  reaches?: Reaches;
}

const sameReading = (a: Candidate, b: Candidate): boolean =>
  a.target.kind !== 'sweep' &&
  b.target.kind !== 'sweep' &&
  a.target.kind !== 'observation' &&
  b.target.kind !== 'observation' &&
  sameTarget(a.target, b.target) &&
  sameState(a.state, b.state);

/** Weighs a job, looks for what to read next, and says whether a verdict may be given. */
export function judge(
  weigher: Weigher,
  caseFile: CaseFile,
  wires: readonly Lane[],
  { reaches = {} }: JudgeOptions = {},
): Judgement {
  const weighed = weigher.caseOf(caseFile);
  const known = posterior(weighed);
  const decisions = decisionsFor(weighed.hypotheses);
  const shares = decisionShares(decisions, known.shares);
  const ranked = decisions.all
    .map((decision, d) => ({ decision, share: shares[d]! }))
    .sort((a, b) => b.share - a.share);
  const classes = classShares(decisions, shares);
  const leader = ranked[0]!;
  const gate = gateItems(leader.decision, caseFile, wires);
  const outlook = new Outlook(weigher, caseFile, known, decisions);
  const taken = [...caseFile.readings, ...caseFile.isolation];
  const suggestions = candidatesFor(caseFile, wires)
    .filter(({ target }) => placesOf(target).every((place) => reaches[place] !== 'out-of-reach'))
    .filter(
      ({ target, state }) =>
        !(target.kind === 'sweep'
          ? weighed.readings.some(({ drive }) => drive === SWEEP_DRIVE)
          : target.kind === 'observation'
            ? caseFile.observations.some(({ observation }) => observation === target.observation)
            : taken.some((one) => sameTarget(one, target) && sameState(one.state, state))),
    )
    .map((candidate): Suggestion => {
      const foresight = outlook.at(candidate);
      const forGate = gate.find(({ shown, reading }) => !shown && sameReading(reading, candidate));
      return {
        candidate,
        minutes: minutesFor(candidate, taken, reaches),
        foresight,
        ...worthOf(foresight),
        ...(forGate ? { forGate } : {}),
      };
    })
    .sort((a, b) => b.bits / b.minutes - a.bits / a.minutes);
  const sure = classes[0]!.share >= CLASS_SHARE && leader.share >= PLACE_SHARE;
  const missing = suggestions.filter(({ forGate }) => forGate);
  const doubts = suggestions.filter(
    ({ mayChangeTheMind, minutes, bits }) =>
      bits > LEAST_BITS && mayChangeTheMind > MAY_CHANGE && minutes <= CHEAP_MINUTES,
  );
  const telling = suggestions.filter(({ bits }) => bits > LEAST_BITS);
  const verdict =
    sure && missing.length === 0 && doubts.length === 0
      ? 'decided'
      : missing.length === 0 && telling.length === 0
        ? 'cannot-tell'
        : 'open';
  // Once one leads clearly, what stands between it and a verdict goes first.
  const first = sure ? [...missing].sort((a, b) => a.minutes - b.minutes) : [];
  return {
    posterior: known,
    decisions,
    ranked,
    classes,
    gate,
    suggestions: [...first, ...suggestions.filter((one) => !first.includes(one))],
    verdict,
  };
}
