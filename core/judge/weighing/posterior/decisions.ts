import type { FaultClass } from '../../../machine/fault/index.ts';
import { NOTHING, type Hypothesis } from '../hypotheses/hypotheses.ts';

/**
 * What one would do about it: hypotheses that lead to the same work at the same place are one decision, whatever tells them
 * apart otherwise.
 */
export interface Decision {
  id: string;
  class: FaultClass | typeof NOTHING;
  /** Numbers of the hypotheses that lead to it. */
  members: readonly number[];
}

export interface Decisions {
  all: readonly Decision[];
  /** By hypothesis: the number of its decision. */
  of: Int32Array;
}

export function decisionsFor(hypotheses: readonly Hypothesis[]): Decisions {
  const groups = new Map<string, { id: string; class: Decision['class']; members: number[] }>();
  hypotheses.forEach((hypothesis, h) => {
    const id = decisionOf(hypothesis);
    const group = groups.get(id) ?? { id, class: hypothesis.class, members: [] };
    group.members.push(h);
    groups.set(id, group);
  });
  const all = [...groups.values()];
  const of = new Int32Array(hypotheses.length);
  all.forEach(({ members }, decision) => members.forEach((h) => (of[h] = decision)));
  return { all, of };
}

function decisionOf({ class: sort, kind, site }: Hypothesis): string {
  if (!kind || !site) return NOTHING;
  switch (sort) {
    // A sensor is replaced as a whole, whatever is broken in it; so is one of another variant.
    case 'sensor':
    case 'wrong-part':
      return sort;
    case 'wire':
      // A wire is repaired where it is open or green, and freed where it touches.
      return ['wire-open', 'wire-high-resistance'].includes(kind.id)
        ? `wire ${site.id}`
        : kind.id === 'wires-together'
          ? touching(site.id)
          : `${kind.id} ${site.id}`;
    case 'control-unit':
      return kind.id === 'unit-pin-open' && site.id === 'reference'
        ? 'unit-gives-no-reference rail:0'
        : kind.id === 'unit-pin-open' && site.id === 'second-reference'
          ? 'unit-gives-no-reference rail:1'
          : `${kind.id} ${site.id}`;
    case 'physical':
    case NOTHING:
      return kind.id;
  }
}

/** The return is ground at the unit, and a battery feed is the battery: whichever it touches, it is freed at the same place. */
function touching(site: string): string {
  const [a = '', b = ''] = site.split('+');
  for (const [one, other] of [
    [a, b],
    [b, a],
  ] as const) {
    if (other === 'return' || other === 'second-return') return `wire-to-ground ${one}`;
    if (other === 'battery-feed') return `wire-to-battery ${one}`;
  }
  return `wires-together ${site}`;
}

/** Shares of the decisions, from those of the hypotheses. */
export function decisionShares({ all }: Decisions, shares: Float64Array): Float64Array {
  return Float64Array.from(all, ({ members }) => members.reduce((sum, h) => sum + shares[h]!, 0));
}

/** A wire open in a stretch, and that wire open there together with another, are looked for in the same place. */
const sameStretch = (wire: string, both: string): boolean => {
  const [kind, site = ''] = wire.split(' ');
  const [alsoKind, alsoSite = ''] = both.split(' ');
  if (kind !== 'wire' || alsoKind !== 'two-wires-open') return false;
  const [lane = '', joint] = site.split(':');
  const [lanes = '', alsoJoint] = alsoSite.split(':');
  return joint === alsoJoint && lanes.split('+').includes(lane);
};

/** Of a decision, with whatever else is found by the same work at the same place. */
export const shareAtItsPlace = ({ all }: Decisions, ofDecisions: Float64Array, decision: number): number =>
  all.reduce(
    (sum, { id }, d) => (d === decision || sameStretch(all[decision]!.id, id) ? sum + ofDecisions[d]! : sum),
    0,
  );

/** Shares of the classes, from those of the decisions; the largest first. */
export function classShares(
  { all }: Decisions,
  ofDecisions: Float64Array,
): { class: Decision['class']; share: number }[] {
  const sums = new Map<Decision['class'], number>();
  all.forEach(({ class: sort }, d) => sums.set(sort, (sums.get(sort) ?? 0) + ofDecisions[d]!));
  return [...sums].map(([sort, share]) => ({ class: sort, share })).sort((a, b) => b.share - a.share);
}
