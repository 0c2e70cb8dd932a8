import type { AnswerTable } from '../prediction/circuitAnswers.ts';
import { between } from '../prediction/rows.ts';
import type { Met, Places } from '../prediction/places.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';
import { TOLERANCES, type WeighedReading } from '../hypotheses/weighedCase.ts';

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
 * and two sizes that are looked at.
 */
function listOver(
  row: Float64Array,
  below: Float64Array,
  above: Float64Array,
  { placed, beside }: Met,
  likely: Likely,
): Float64Array {
  const nodes = beside.length;
  const list = new Float64Array(nodes * TOLERANCES.length);
  const last = row.length - 1;
  placed.forEach((places, t) => {
    for (let node = 0; node < nodes; node++) {
      const place = places[node]!;
      const predicted = between(row, place);
      const half = beside[node]!;
      const quantity = half > 0 ? apart(between(row, Math.min(last, place + half)), predicted) : 0;
      const sizes = below === above ? 0 : apart(between(above, place), between(below, place)) / 4;
      list[t * nodes + node] = likely(predicted, Math.sqrt((quantity ** 2 + sizes ** 2) / 3));
    }
  });
  return list;
}

/** Most wires carry the same whatever the quantity is: then one likelihood does for all of it. */
function flatList(
  row: Float64Array,
  below: Float64Array,
  above: Float64Array,
  { beside }: Met,
  likely: Likely,
): Float64Array {
  const sizes = apart(above[0]!, below[0]!) / 4;
  const spread = below === above ? 0 : Math.sqrt((sizes * sizes) / 3);
  return new Float64Array(beside.length * TOLERANCES.length).fill(likely(row[0]!, spread));
}

/** OL and a live circuit are no distance from anything: what lies between is one or the other. */
const apart = (one: number, other: number): number =>
  Number.isFinite(one) && Number.isFinite(other) ? one - other : 0;

function isFlat(row: Float64Array): boolean {
  for (let node = 1; node < row.length; node++) if (row[node] !== row[0]) return false;
  return true;
}

/** The same for every tolerance: a gauge knows nothing of the sensor. */
export function forEveryTolerance(list: Float64Array): Float64Array {
  const all = new Float64Array(list.length * TOLERANCES.length);
  TOLERANCES.forEach((_, t) => all.set(list, t * list.length));
  return all;
}
