import { floats } from '../blocks.ts';
import type { Stand } from '../hypotheses/weighedCase.ts';

/*
 * A row: what an instrument would show at one spot along the nodes of a quantity. It is solved only as close as it bends, and
 * read on lines between its nodes.
 */

/** What an instrument would show along the nodes, and how far another maker's circuit may lie from that. */
export interface Row {
  reads: Float64Array;
  /** One standard deviation at each node; left out where makers do not differ. */
  doubt?: Float64Array | undefined;
  /** By how much of a volt it moves with each volt of the unit's sensor supplies; left out where it does not. */
  follows?: Float64Array | undefined;
  /** By how many volts it moves where an input is pulled strongly; left out where it does not. */
  pulls?: Float64Array | undefined;
}

/** By how much it moves where a machine stands off the usual one, but for what moves all voltages. */
export const movedAt = ({ follows, pulls }: Row, { supplyVolts, pullShare }: Stand, place: number): number =>
  (follows && supplyVolts !== 0 ? supplyVolts * between(follows, place) : 0) +
  (pulls && pullShare !== 0 ? pullShare * between(pulls, place) : 0);
/** Of ohms nothing is near enough: they go over decades. */
export const NO_TOLERANCE = 0;

/** Whether it is the same whatever the quantity is. */
export const isFlat = ({ reads, doubt, follows, pulls }: Row): boolean =>
  isLevel(reads) && [doubt, follows, pulls].every((along) => !along || isLevel(along));

function isLevel(row: Float64Array): boolean {
  for (let node = 1; node < row.length; node++) if (row[node] !== row[0]) return false;
  return true;
}

/** The farthest apart that two rows are anywhere. */
export const distance = (a: Row, b: Row): number =>
  a.reads.reduce((most, reads, node) => Math.max(most, Math.abs(reads - b.reads[node]!)), 0);

/** Between two sizes: ohms by their logarithm, volts on a line. */
export const mixed = (below: Row, above: Row, past: number): Row => {
  if (below === above) return below;
  // Loops, since `map` of a typed array takes several times as long, and this is done for every size at every spot.
  const reads = floats(below.reads.length);
  for (let node = 0; node < reads.length; node++) {
    const one = below.reads[node]!;
    const other = above.reads[node]!;
    if (one === other) reads[node] = one;
    else if (!Number.isFinite(one) || !Number.isFinite(other)) reads[node] = past < 0.5 ? one : other;
    else reads[node] = rounded(one + past * (other - one));
  }
  const between = (one: Float64Array | undefined, other: Float64Array | undefined) => {
    if (!one && !other) return undefined;
    const found = floats(reads.length);
    for (let node = 0; node < found.length; node++) {
      const from = one ? one[node]! : 0;
      found[node] = from + past * ((other ? other[node]! : 0) - from);
    }
    return found;
  };
  return {
    reads,
    doubt: between(below.doubt, above.doubt),
    follows: between(below.follows, above.follows),
    pulls: between(below.pulls, above.pulls),
  };
};

/** Of the same for rows that say the same, and hardly ever of others. */
export function hashOf({ reads, doubt, follows, pulls }: Row): number {
  let hash = 0;
  for (const said of [reads, doubt, follows, pulls]) {
    if (!said) continue;
    // A value that is no number of volts is told apart when rows are compared.
    for (let node = 0; node < said.length; node++) hash = (Math.imul(hash, 31) + said[node]! * 1e6) | 0;
    hash = Math.imul(hash, 31) + 1;
  }
  return hash;
}

/** Whether two rows say the same at every node, doubts included. */
export const isSame = (a: Row, b: Row): boolean =>
  a === b ||
  (isAlike(a.reads, b.reads) &&
    (a.doubt === b.doubt || isAlike(a.doubt, b.doubt)) &&
    (a.follows === b.follows || isAlike(a.follows, b.follows)) &&
    (a.pulls === b.pulls || isAlike(a.pulls, b.pulls)));

/** Whether two rows of numbers are equal, where no number equals no number; an absent one is like none. */
export function isAlike(a: Float64Array | undefined, b: Float64Array | undefined): boolean {
  if (!a || !b) return false;
  for (let node = 0; node < a.length; node++) {
    // A live circuit is no number of ohms, here as there.
    if (a[node] !== b[node] && !(Number.isNaN(a[node]) && Number.isNaN(b[node]))) return false;
  }
  return true;
}

/** To a tenth of a millivolt: what differs by less is one answer. */
export const rounded = (reads: number): number =>
  Math.abs(reads) < 100 ? Math.round(reads * 1e4) / 1e4 : reads;

/** A row read between its nodes. */
export function between(row: Float64Array, place: number): number {
  const node = Math.min(row.length - 2, Math.floor(place));
  const before = row[node]!;
  const after = row[node + 1]!;
  if (before === after) return before;
  const past = place - node;
  // Between OL or a live circuit and a resistance there is no middle.
  if (!Number.isFinite(before) || !Number.isFinite(after)) return past < 0.5 ? before : after;
  return before + past * (after - before);
}
