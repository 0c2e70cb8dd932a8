import { causeId, type Cause } from './cause.ts';
import type { CauseClass } from '../../priors/index.ts';
import { type Hypothesis } from '../hypotheses/hypotheses.ts';
import { causeOf } from './decidedCause.ts';

/**
 * What one would do about it: hypotheses that lead to the same work at the same place are one decision, whatever tells them
 * apart otherwise.
 */
export interface Decision {
  cause: Cause;
  /** The same as text, as it is stored. */
  id: string;
  class: CauseClass;
  /** Numbers of the hypotheses that lead to it. */
  members: readonly number[];
  /** Its share before anything was read. */
  prior: number;
}

export interface Decisions {
  all: readonly Decision[];
  /** By hypothesis: the number of its decision. */
  of: Int32Array;
}

/** The hypotheses by what one would do about them. */
export function decisionsFor(hypotheses: readonly Hypothesis[]): Decisions {
  const groups = new Map<string, Omit<Decision, 'members'> & { members: number[] }>();
  hypotheses.forEach((hypothesis, h) => {
    const cause = causeOf(hypothesis);
    const id = causeId(cause);
    const group = groups.get(id) ?? { cause, id, class: hypothesis.class, members: [], prior: 0 };
    group.members.push(h);
    group.prior += hypothesis.prior;
    groups.set(id, group);
  });
  const all = [...groups.values()];
  const of = new Int32Array(hypotheses.length);
  all.forEach(({ members }, decision) => members.forEach((h) => (of[h] = decision)));
  return { all, of };
}

/** Shares of the decisions, from those of the hypotheses. */
export function decisionShares({ all }: Decisions, shares: Float64Array): Float64Array {
  return Float64Array.from(all, ({ members }) => members.reduce((sum, h) => sum + shares[h]!, 0));
}

/**
 * As often as this a job is not what it is taken for: another machine than its profile says, an instrument that misleads all day,
 * a circuit that is built in a way nobody thought of. Then the readings tell nothing.
 */
const MISLED_SHARE = 0.03;

/** What is said of the decisions: never surer than the tool is right on machines that it has never met. */
export const statedShares = (decisions: Decisions, shares: Float64Array): Float64Array =>
  decisionShares(decisions, shares).map(
    (share, d) => (1 - MISLED_SHARE) * share + MISLED_SHARE * decisions.all[d]!.prior,
  );

/** Of a stated share: what the readings themselves leave of doubt in it. */
export const doubtLeftIn = (stated: number): number => Math.max(0, 1 - MISLED_SHARE - stated);

/** A wire open in a stretch, and that wire open there together with another, are looked for in the same place. */
const sameStretch = (one: Cause, both: Cause): boolean =>
  one.of === 'wire' &&
  both.of === 'two-wires-open' &&
  one.joint === both.joint &&
  both.wires.includes(one.wire);

/** Of a decision, with whatever else is found by the same work at the same place. */
export const shareAtItsPlace = ({ all }: Decisions, ofDecisions: Float64Array, decision: number): number =>
  all.reduce(
    (sum, { cause }, d) =>
      d === decision || sameStretch(all[decision]!.cause, cause) ? sum + ofDecisions[d]! : sum,
    0,
  );

const isPlugContact = ({ cause }: Decision): boolean => cause.of === 'wire' && cause.joint === 'plug';

/** Whichever contact of the sensor plug it is: they are looked at together, and a voltage seldom tells one from the other. */
export function plugContacts({ all }: Decisions): Decision | undefined {
  const contacts = all.filter(isPlugContact);
  const members = contacts.flatMap((one) => one.members);
  const prior = contacts.reduce((sum, one) => sum + one.prior, 0);
  const cause = { of: 'plug-contacts' } as const;
  return members.length > 0 ? { cause, id: causeId(cause), class: 'wire', members, prior } : undefined;
}

/** Of all contacts of the plug together. */
export const contactsShare = ({ all }: Decisions, ofDecisions: Float64Array): number =>
  all.reduce((sum, one, d) => (isPlugContact(one) ? sum + ofDecisions[d]! : sum), 0);

/** What a verdict names: the leading decision, or the contacts of the plug where it is one of them and not told from the others. */
export function namedBy(
  decisions: Decisions,
  ofDecisions: Float64Array,
  leader: number,
  placeShareNeeded: number,
): { named: Decision; placeShare: number } {
  const named = decisions.all[leader]!;
  const placeShare = shareAtItsPlace(decisions, ofDecisions, leader);
  const contacts = isPlugContact(named) ? plugContacts(decisions) : undefined;
  if (!contacts || placeShare >= placeShareNeeded) return { named, placeShare };
  const together = contactsShare(decisions, ofDecisions);
  return together >= placeShareNeeded ? { named: contacts, placeShare: together } : { named, placeShare };
}

/** Shares of the classes, from those of the decisions; the largest first. */
export function classShares(
  { all }: Decisions,
  ofDecisions: Float64Array,
): { class: Decision['class']; share: number }[] {
  const sums = new Map<Decision['class'], number>();
  all.forEach(({ class: sort }, d) => sums.set(sort, (sums.get(sort) ?? 0) + ofDecisions[d]!));
  return [...sums].map(([sort, share]) => ({ class: sort, share })).sort((a, b) => b.share - a.share);
}
