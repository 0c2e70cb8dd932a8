import type { CaseFile } from './caseFile.ts';
import { causeOf, type CauseId, type VerdictClass } from './causes.ts';
import { digitalLine } from './digitalLine.ts';
import { disagreements } from './disagreements.ts';
import type { FamilyId } from '../family/index.ts';
import { causesFor } from './familyScope.ts';
import type { Finding, Remark } from './finding.ts';
import { gateFor, type Gate, type GateItem } from './gate.ts';
import { gaugeFindings } from './gaugeFindings.ts';
import { likelihood } from './likelihoodTable.ts';
import { afterAnswer, DECIDING_SHARE, nextReading, ranked, type Weights } from './nextReading.ts';
import type { NextReading } from './suggestion.ts';
import { signalFindings } from './signalFindings.ts';
import { supplyFindings } from './supplyFindings.ts';

export interface WeighedCause {
  cause: CauseId;
  title: string;
  class: VerdictClass;
  remedy: string;
  /** 0..1; the shares of all causes sum to one. */
  share: number;
  speaksFor: Finding[];
  speaksAgainst: Finding[];
}

export type Verdict =
  | { decided: true; cause: CauseId; class: VerdictClass; sentence: string }
  | { decided: false; sentence: string };

export interface Weighing {
  /** Ranked; empty while no reading says anything, since no ranking comes from nothing. */
  causes: WeighedCause[];
  findings: Finding[];
  remarks: Remark[];
  /** What is shown to be wrong without saying why: not weighed, but never "nothing wrong" either. */
  disagreements: Remark[];
  /** What must be shown before the leading cause may be named. */
  gate: Gate | undefined;
  verdict: Verdict;
  next: NextReading | undefined;
}

/** An answer at least this much likelier (or less likely) than by the other causes speaks for (or against). */
const TELLING_RATIO = 2;

/** Ranks what the readings of a job can be explained by, and says what is missing before anything is condemned. */
export function weigh(caseFile: CaseFile): Weighing {
  const parts = [supplyFindings, signalFindings, gaugeFindings].map((part) => part(caseFile));
  const findings = parts.flatMap((part) => part.findings);
  const wrong = disagreements(caseFile);
  const remarks = [...parts.flatMap((part) => part.remarks), ...digitalLine(caseFile)];
  const { family } = caseFile;
  // Something is wrong, whatever it is.
  const priors = wrong.length > 0 ? without('nothing', priorsFor(family)) : priorsFor(family);
  const weights = findings.reduce(
    (sofar, { check, outcomes }) => afterAnswer(sofar, check, outcomes),
    priors,
  );
  const next = nextReading(caseFile, weights, findings);
  if (findings.length === 0) {
    const sentence = 'Not proven yet: no reading says anything so far.';
    return {
      causes: [],
      findings,
      remarks,
      disagreements: wrong,
      gate: undefined,
      verdict: { decided: false, sentence },
      next,
    };
  }
  const causes = ranked(weights).map(({ cause, share }) => weighed(cause, share, findings, priors));
  const leader = causes[0] as WeighedCause;
  const gate = gateFor(leader.cause, findings, family);
  return {
    causes,
    findings,
    remarks,
    disagreements: wrong,
    gate,
    verdict: verdictOn(leader, gate),
    next,
  };
}

function without(cause: CauseId, weights: Weights): Weights {
  const left = [...weights].filter(([one]) => one !== cause);
  const total = left.reduce((sum, [, weight]) => sum + weight, 0);
  return new Map(left.map(([one, weight]) => [one, weight / total]));
}

/** Shared out over the causes that a family has, so that they sum to one. */
export function priorsFor(family: FamilyId): Weights {
  const causes = causesFor(family);
  const total = causes.reduce((sum, cause) => sum + causeOf(cause).prior, 0);
  return new Map(causes.map((cause) => [cause, causeOf(cause).prior / total]));
}

function weighed(cause: CauseId, share: number, findings: readonly Finding[], priors: Weights): WeighedCause {
  const ratio = ({ check, outcomes }: Finding): number => {
    const others = [...priors].filter(([other]) => other !== cause);
    const total = others.reduce((sum, [, prior]) => sum + prior, 0);
    const elsewhere = others.reduce(
      (sum, [other, prior]) => sum + (prior / total) * likelihood(check, outcomes, other),
      0,
    );
    return likelihood(check, outcomes, cause) / elsewhere;
  };
  const byStrength = (a: Finding, b: Finding) => Math.abs(Math.log(ratio(b))) - Math.abs(Math.log(ratio(a)));
  const { title, class: verdictClass, remedy } = causeOf(cause);
  return {
    cause,
    title,
    class: verdictClass,
    remedy,
    share,
    speaksFor: findings.filter((found) => ratio(found) >= TELLING_RATIO).sort(byStrength),
    speaksAgainst: findings.filter((found) => ratio(found) <= 1 / TELLING_RATIO).sort(byStrength),
  };
}

function verdictOn(leader: WeighedCause, gate: Gate): Verdict {
  if (leader.share >= DECIDING_SHARE && gate.met) {
    return {
      decided: true,
      cause: leader.cause,
      class: leader.class,
      sentence: `${leader.title}. ${leader.remedy}`,
    };
  }
  const labelled = (wanted: GateItem['state']) =>
    gate.items.filter(({ state }) => state === wanted).map(({ label }) => lowerFirst(label));
  const reasons = [
    ...labelled('missing').map((label) => `still to show: ${label}`),
    ...labelled('refuted').map((label) => `against it: “${label}” does not hold`),
  ];
  const why = reasons.length > 0 ? reasons.join('; ') : 'other causes still explain the readings';
  return { decided: false, sentence: `Not proven yet. “${leader.title}” leads; ${why}.` };
}

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
