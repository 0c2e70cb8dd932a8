import { floats } from '../blocks.ts';
import { between, type Row } from '../prediction/rows.ts';
import type { Met } from '../prediction/places.ts';
import { TOLERANCES } from '../hypotheses/weighedCase.ts';

/** By tolerance, the first in which the sensor stands where it stands in this. */
export const FIRST_AT = TOLERANCES.map(({ at }) => TOLERANCES.findIndex((one) => one.at === at));

/** What rows read where the grid lies, each once, since every row is beside two others. */
export interface AlongRows {
  /** At the nodes of the grid, with the sensor at its place in the tolerance. */
  reads(row: number, t: number): Float64Array;
  /** By how much that changes up to half a step of the grid further. */
  rises(row: number, t: number): Float64Array;
}

/** Rows along the grid of a quantity, each worked out once. */
export function alongRows(rows: readonly Row[], { placed, beside }: Met): AlongRows {
  const known = new Map<number, Float64Array>();
  const rising = new Map<number, Float64Array>();
  const keyOf = (row: number, t: number) => row * TOLERANCES.length + FIRST_AT[t]!;
  // Loops, since `map` of a typed array takes several times as long.
  const reads = (row: number, t: number): Float64Array => {
    const before = known.get(keyOf(row, t));
    if (before) return before;
    const places = placed[t]!;
    const found = floats(places.length);
    for (let node = 0; node < found.length; node++) found[node] = between(rows[row]!.reads, places[node]!);
    known.set(keyOf(row, t), found);
    return found;
  };
  const rises = (row: number, t: number): Float64Array => {
    const before = rising.get(keyOf(row, t));
    if (before) return before;
    const ofRow = rows[row]!.reads;
    const here = reads(row, t);
    const places = placed[t]!;
    const found = floats(places.length);
    for (let node = 0; node < found.length; node++) {
      const half = beside[node]!;
      if (half > 0)
        found[node] = apart(between(ofRow, Math.min(ofRow.length - 1, places[node]! + half)), here[node]!);
    }
    rising.set(keyOf(row, t), found);
    return found;
  };
  return { reads, rises };
}

/** OL and a live circuit are no distance from anything: what lies between is one or the other. */
export const apart = (one: number, other: number): number =>
  Number.isFinite(one) && Number.isFinite(other) ? one - other : 0;
