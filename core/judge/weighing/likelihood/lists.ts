import type { AnswerTable } from '../prediction/circuitAnswers.ts';
import { between, isFlat, type Row } from '../prediction/rows.ts';
import type { Met, Places } from '../prediction/places.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';
import { TOLERANCES, USUAL_MAKERS, type WeighedReading } from '../hypotheses/weighedCase.ts';

/** How likely a reading is where this is predicted, give or take what was not looked at. */
export type Likely = (predicted: number, spread: number) => number;

/** A list for each answer that differs, by itself or by what lies beside it. */
export function listsOver(
  { rows, rowOf }: AnswerTable,
  { ways, wayOf }: Places,
  sized: readonly SizedHypothesis[],
  likely: Likely,
): Pick<WeighedReading, 'lists' | 'listOf'> {
  const lists: Float64Array[] = [];
  const flat = rows.map(isFlat);
  const numbers = new Map<number, number>();
  const listOf = Int32Array.from(sized, ({ smaller, larger }, s) => {
    const [row, below, above, way] = [rowOf[s]!, rowOf[smaller]!, rowOf[larger]!, wayOf[s]!];
    const key = ((row * rows.length + below) * rows.length + above) * ways.length + way;
    const known = numbers.get(key);
    if (known !== undefined) return known;
    numbers.set(key, lists.length);
    const beside = [rows[row]!, rows[below]!, rows[above]!] as const;
    const isAllFlat = flat[row]! && flat[below]! && flat[above]!;
    return (
      lists.push(
        isAllFlat ? flatList(...beside, ways[way]!, likely) : listOver(...beside, ways[way]!, likely),
      ) - 1
    );
  });
  return { lists, listOf };
}

/**
 * Likelihoods along the tolerances and nodes of one answer, with the spread that comes from what lies between two quantities
 * and two sizes that are looked at, and from what makers do differently.
 */
function listOver(row: Row, below: Row, above: Row, { placed, beside }: Met, likely: Likely): Float64Array {
  const nodes = beside.length;
  const list = new Float64Array(nodes * TOLERANCES.length);
  const { reads, doubt, follows } = row;
  const last = reads.length - 1;
  placed.forEach((places, t) => {
    for (let node = 0; node < nodes; node++) {
      const place = places[node]!;
      const { supplyVolts } = TOLERANCES[t]!;
      const moved = follows && supplyVolts !== 0 ? supplyVolts * between(follows, place) : 0;
      const predicted = between(reads, place) + moved;
      const half = beside[node]!;
      const quantity = half > 0 ? apart(between(reads, Math.min(last, place + half)), predicted - moved) : 0;
      const sizes = below === above ? 0 : apart(between(above.reads, place), between(below.reads, place)) / 4;
      const spread = Math.sqrt((quantity ** 2 + sizes ** 2) / 3);
      list[t * nodes + node] = inDoubt(predicted, spread, doubt ? between(doubt, place) : 0, likely);
    }
  });
  return list;
}

const inDoubt = (predicted: number, spread: number, doubt: number, likely: Likely): number =>
  doubt === 0
    ? likely(predicted, spread)
    : USUAL_MAKERS * likely(predicted, spread) +
      (1 - USUAL_MAKERS) * likely(predicted, Math.sqrt(spread ** 2 + doubt ** 2));

/** Most wires carry the same whatever the quantity is: then one likelihood does for all of it. */
function flatList(row: Row, below: Row, above: Row, { beside }: Met, likely: Likely): Float64Array {
  const sizes = below === above ? 0 : apart(above.reads[0]!, below.reads[0]!) / 4;
  const spread = Math.sqrt((sizes * sizes) / 3);
  const doubt = row.doubt?.[0] ?? 0;
  const nodes = beside.length;
  const list = new Float64Array(nodes * TOLERANCES.length);
  const follows = row.follows?.[0] ?? 0;
  TOLERANCES.forEach(({ supplyVolts }, t) =>
    list.fill(
      inDoubt(row.reads[0]! + supplyVolts * follows, spread, doubt, likely),
      t * nodes,
      (t + 1) * nodes,
    ),
  );
  return list;
}

/** OL and a live circuit are no distance from anything: what lies between is one or the other. */
const apart = (one: number, other: number): number =>
  Number.isFinite(one) && Number.isFinite(other) ? one - other : 0;

/** The same for every tolerance: a gauge knows nothing of the sensor. */
export function forEveryTolerance(list: Float64Array): Float64Array {
  const all = new Float64Array(list.length * TOLERANCES.length);
  TOLERANCES.forEach((_, t) => all.set(list, t * list.length));
  return all;
}
