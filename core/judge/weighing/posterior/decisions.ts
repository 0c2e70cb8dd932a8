import type { FaultKindId } from '../../../machine/fault/index.ts';
import type { Lane } from '../../../machine/places/index.ts';
import { PHYSICAL_KIND_IDS, type PhysicalKindId } from '../../../machine/kinds/index.ts';
import { causeId, type Cause } from './cause.ts';
import type { CauseClass } from '../../priors/index.ts';
import { NOTHING, type Hypothesis } from '../hypotheses/hypotheses.ts';

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
    const group = groups.get(id) ?? { cause, id, class: hypothesis.class, members: [] };
    group.members.push(h);
    groups.set(id, group);
  });
  const all = [...groups.values()];
  const of = new Int32Array(hypotheses.length);
  all.forEach(({ members }, decision) => members.forEach((h) => (of[h] = decision)));
  return { all, of };
}

/** What would be done about a hypothesis. */
function causeOf({ class: sort, kind, site }: Hypothesis): Cause {
  // A sensor is replaced as a whole, whatever is broken in it; so is one of another variant.
  if (sort === 'sensor' || sort === 'wrong-part' || sort === 'unlisted') return { of: sort };
  if (!kind || !site) return { of: NOTHING };
  const { at } = site;
  switch (at.in) {
    case 'joint':
      // A wire is repaired where it is open or green.
      return { of: 'wire', wire: at.wire, joint: at.joint };
    case 'joints':
      return { of: 'two-wires-open', wires: at.wires, joint: at.joint };
    case 'wires':
      return touching(at.wires);
    case 'bias':
      return { of: 'unit-bias-lost', wire: at.wire, pull: at.pull };
    case 'rail':
      return { of: 'unit-gives-no-reference', rail: at.rail };
    case 'neighbour':
      return { of: 'rail-pulled-down', neighbour: at.neighbour };
    case 'unit-ground':
      return { of: 'unit-ground-raised' };
    case 'wire':
      return aboutWire(kind.id, at.wire);
    case 'hose':
    case 'hoses':
    case 'linkage':
    case 'duct':
    case 'passages':
    case 'engine':
      return { of: physicalKind(kind.id) };
    case 'element':
    case 'track':
    case 'thermistor':
      throw new Error(`A fault of the sensor is of another class: ${kind.id}.`);
  }
}

function physicalKind(id: FaultKindId): PhysicalKindId {
  const found = PHYSICAL_KIND_IDS.find((one) => one === id);
  if (!found) throw new Error(`${id} is in the circuit.`);
  return found;
}

function aboutWire(kind: FaultKindId, wire: Lane): Cause {
  if (kind === 'wire-to-ground' || kind === 'wire-to-battery' || kind === 'unit-does-not-read')
    return { of: kind, wire };
  if (kind !== 'unit-pin-open') throw new Error(`A fault of kind ${kind} is in no whole wire.`);
  // Seen from outside, a unit that lost its reference pin gives no reference.
  if (wire === 'reference') return { of: 'unit-gives-no-reference', rail: 0 };
  return wire === 'second-reference' ? { of: 'unit-gives-no-reference', rail: 1 } : { of: kind, wire };
}

/** The return is ground at the unit, and a battery feed is the battery: whichever it touches, it is freed at the same place. */
function touching(wires: readonly [Lane, Lane]): Cause {
  const [a, b] = wires;
  for (const [one, other] of [
    [a, b],
    [b, a],
  ] as const) {
    if (other === 'return' || other === 'second-return') return { of: 'wire-to-ground', wire: one };
    if (other === 'battery-feed') return { of: 'wire-to-battery', wire: one };
  }
  return { of: 'wires-together', wires };
}

/** Shares of the decisions, from those of the hypotheses. */
export function decisionShares({ all }: Decisions, shares: Float64Array): Float64Array {
  return Float64Array.from(all, ({ members }) => members.reduce((sum, h) => sum + shares[h]!, 0));
}

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

/** Shares of the classes, from those of the decisions; the largest first. */
export function classShares(
  { all }: Decisions,
  ofDecisions: Float64Array,
): { class: Decision['class']; share: number }[] {
  const sums = new Map<Decision['class'], number>();
  all.forEach(({ class: sort }, d) => sums.set(sort, (sums.get(sort) ?? 0) + ofDecisions[d]!));
  return [...sums].map(([sort, share]) => ({ class: sort, share })).sort((a, b) => b.share - a.share);
}
