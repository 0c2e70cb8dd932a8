import type { AnswerTable } from '../prediction/circuitAnswers.ts';
import { between, isFlat, type Row } from '../prediction/rows.ts';
import type { Met, Places } from '../prediction/places.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';
import { TOLERANCES, USUAL_MAKERS, type WeighedReading } from '../hypotheses/weighedCase.ts';
import { alongRows, type AlongRows, FIRST_AT, apart } from './alongRows.ts';

/** How likely a reading is where this is predicted, give or take what was not looked at. */
export type Likely = (predicted: number, spread: number) => number;

/**
 * A list for each answer that differs, by itself or by what lies beside it.
 *
 * @param isAgainstBattery whether it is a voltage against battery negative, which is off by what all of them are
 */
export function listsOver(
  { rows, rowOf }: AnswerTable,
  { ways, wayOf }: Places,
  sized: readonly SizedHypothesis[],
  likely: Likely,
  isAgainstBattery = false,
): Pick<WeighedReading, 'lists' | 'listOf'> {
  const lists: Float64Array[] = [];
  const flat = rows.map(isFlat);
  const numbers = new Map<number, number>();
  const along = ways.map((met) => alongRows(rows, met));
  const listOf = Int32Array.from(sized, ({ smaller, larger }, s) => {
    const [row, below, above, way] = [rowOf[s]!, rowOf[smaller]!, rowOf[larger]!, wayOf[s]!];
    const key = ((row * rows.length + below) * rows.length + above) * ways.length + way;
    const known = numbers.get(key);
    if (known !== undefined) return known;
    numbers.set(key, lists.length);
    const isAllFlat = flat[row]! && flat[below]! && flat[above]!;
    return (
      lists.push(
        isAllFlat
          ? flatList(rows[row]!, rows[below]!, rows[above]!, ways[way]!, likely, isAgainstBattery)
          : listOver(rows[row]!, [row, below, above], ways[way]!, along[way]!, likely, isAgainstBattery),
      ) - 1
    );
  });
  return { lists, listOf };
}

/**
 * Likelihoods along the tolerances and nodes of one answer, with the spread that comes from what lies between two quantities
 * and two sizes that are looked at, and from what makers do differently.
 */
function listOver(
  { doubt, follows }: Row,
  [row, below, above]: readonly [row: number, below: number, above: number],
  { placed }: Met,
  along: AlongRows,
  likely: Likely,
  isAgainstBattery: boolean,
): Float64Array {
  const nodes = placed[0]!.length;
  const list = new Float64Array(nodes * TOLERANCES.length);
  for (let t = 0; t < placed.length; t++) {
    const places = placed[t]!;
    const { supplyVolts, offsetVolts } = TOLERANCES[t]!;
    const off = isAgainstBattery ? offsetVolts : 0;
    // What does not move with the supplies is the same for all of them.
    const alike = follows || off !== 0 ? t : FIRST_AT[t]!;
    if (alike < t) {
      list.copyWithin(t * nodes, alike * nodes, (alike + 1) * nodes);
      continue;
    }
    const reads = along.reads(row, t);
    const rises = along.rises(row, t);
    const [smaller, larger] = [along.reads(below, t), along.reads(above, t)];
    for (let node = 0; node < nodes; node++) {
      const moved = off + (follows && supplyVolts !== 0 ? supplyVolts * between(follows, places[node]!) : 0);
      const quantity = rises[node]!;
      const sizes = below === above ? 0 : apart(larger[node]!, smaller[node]!) / 4;
      const spread = Math.sqrt((quantity * quantity + sizes * sizes) / 3);
      const unsure = doubt ? between(doubt, places[node]!) : 0;
      list[t * nodes + node] = inDoubt(reads[node]! + moved, spread, unsure, likely);
    }
  }
  return list;
}

const inDoubt = (predicted: number, spread: number, doubt: number, likely: Likely): number =>
  doubt === 0
    ? likely(predicted, spread)
    : USUAL_MAKERS * likely(predicted, spread) +
      (1 - USUAL_MAKERS) * likely(predicted, Math.sqrt(spread ** 2 + doubt ** 2));

/** Most wires carry the same whatever the quantity is: then one likelihood does for all of it. */
function flatList(
  row: Row,
  below: Row,
  above: Row,
  { beside }: Met,
  likely: Likely,
  isAgainstBattery: boolean,
): Float64Array {
  const sizes = below === above ? 0 : apart(above.reads[0]!, below.reads[0]!) / 4;
  const spread = Math.sqrt((sizes * sizes) / 3);
  const doubt = row.doubt?.[0] ?? 0;
  const nodes = beside.length;
  const list = new Float64Array(nodes * TOLERANCES.length);
  const follows = row.follows?.[0] ?? 0;
  TOLERANCES.forEach(({ supplyVolts, offsetVolts }, t) =>
    list.fill(
      inDoubt(
        row.reads[0]! + supplyVolts * follows + (isAgainstBattery ? offsetVolts : 0),
        spread,
        doubt,
        likely,
      ),
      t * nodes,
      (t + 1) * nodes,
    ),
  );
  return list;
}

/** The same for every tolerance: a gauge knows nothing of the sensor. */
export function forEveryTolerance(list: Float64Array): Float64Array {
  const all = new Float64Array(list.length * TOLERANCES.length);
  TOLERANCES.forEach((_, t) => all.set(list, t * list.length));
  return all;
}
