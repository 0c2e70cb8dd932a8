import { floats } from '../blocks.ts';
import type { AnswerTable } from '../prediction/circuitAnswers.ts';
import { between, isFlat, movedAt, type Row } from '../prediction/rows.ts';
import type { Met, Places } from '../prediction/places.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';
import { TOLERANCES, type WeighedReading } from '../hypotheses/weighedCase.ts';
import { alongRows, type AlongRows, FIRST_AT, apart } from './alongRows.ts';
import { afterSeen, inDoubt, type AfterSeen, type Likely, type SeenBefore } from './seenBefore.ts';

const NOT_SEEN = -1;

/** What else is known of a reading. */
export interface Known {
  /** Whether it is a voltage against battery negative, which is off by what all of them are. */
  isAgainstBattery?: boolean;
  seen?: SeenBefore | undefined;
}

/** A list for each answer that differs, by itself or by what lies beside it. */
export function listsOver(
  { rows, rowOf }: AnswerTable,
  { ways, wayOf }: Places,
  sized: readonly SizedHypothesis[],
  likely: Likely,
  { isAgainstBattery = false, seen }: Known = {},
): Pick<WeighedReading, 'lists' | 'listOf'> {
  const lists: Float64Array[] = [];
  const flat = rows.map(isFlat);
  const numbers = new Map<number, number>();
  // Rows that go together, numbered: there are far fewer of them than there might be, so that keys stay whole numbers.
  const pairs = new Map<number, number>();
  const along = ways.map((met) => alongRows(rows, met));
  const alongSeen = seen && ways.map((met) => alongRows(seen.table.rows, met));
  const listOf = Int32Array.from(sized, ({ smaller, larger, isAnything }, s) => {
    const [row, below, above, way] = [rowOf[s]!, rowOf[smaller]!, rowOf[larger]!, wayOf[s]!];
    // What may show anything anywhere shows nothing accordingly.
    const before = seen && rows[row]!.doubt && !isAnything ? seen.table.rowOf[s]! : NOT_SEEN;
    const pair = numberIn(pairs, (before + 1) * rows.length + row);
    const key = ((pair * rows.length + below) * rows.length + above) * ways.length + way;
    const known = numbers.get(key);
    if (known !== undefined) return known;
    numbers.set(key, lists.length);
    const isAllFlat = before === NOT_SEEN && flat[row]! && flat[below]! && flat[above]!;
    const after = before === NOT_SEEN ? undefined : afterSeen(seen!, before, ways[way]!, alongSeen![way]);
    return (
      lists.push(
        isAllFlat
          ? flatList(rows[row]!, rows[below]!, rows[above]!, ways[way]!, likely, isAgainstBattery)
          : listOver(
              rows[row]!,
              [row, below, above],
              ways[way]!,
              along[way]!,
              likely,
              isAgainstBattery,
              after,
            ),
      ) - 1
    );
  });
  return { lists, listOf };
}

function numberIn(numbers: Map<number, number>, key: number): number {
  const known = numbers.get(key);
  if (known !== undefined) return known;
  numbers.set(key, numbers.size);
  return numbers.size - 1;
}

/**
 * Likelihoods along the tolerances and nodes of one answer, with the spread that comes from what lies between two quantities
 * and two sizes that are looked at, and from what makers do differently.
 */
function listOver(
  ofRow: Row,
  [row, below, above]: readonly [row: number, below: number, above: number],
  { placed }: Met,
  along: AlongRows,
  likely: Likely,
  isAgainstBattery: boolean,
  after: AfterSeen | undefined,
): Float64Array {
  const { doubt, follows, pulls } = ofRow;
  const isMoved = follows !== undefined || pulls !== undefined;
  const nodes = placed[0]!.length;
  const list = floats(nodes * TOLERANCES.length);
  for (let t = 0; t < placed.length; t++) {
    const places = placed[t]!;
    const stand = TOLERANCES[t]!;
    const off = isAgainstBattery ? stand.offsetVolts : 0;
    // What does not move with the machine's stand is the same for all of them.
    const alike = isMoved || off !== 0 || after?.isMovedIn(stand) ? t : FIRST_AT[t]!;
    if (alike < t) {
      list.copyWithin(t * nodes, alike * nodes, (alike + 1) * nodes);
      continue;
    }
    const reads = along.reads(row, t);
    const rises = along.rises(row, t);
    const [smaller, larger] = [along.reads(below, t), along.reads(above, t)];
    for (let node = 0; node < nodes; node++) {
      const moved = isMoved ? off + movedAt(ofRow, stand, places[node]!) : off;
      const quantity = rises[node]!;
      const sizes = below === above ? 0 : apart(larger[node]!, smaller[node]!) / 4;
      const spread = Math.sqrt((quantity * quantity + sizes * sizes) / 3);
      const unsure = doubt ? between(doubt, places[node]!) : 0;
      const predicted = reads[node]! + moved;
      list[t * nodes + node] = after
        ? after.likelihood(t, node, predicted, spread, unsure, likely)
        : inDoubt(predicted, spread, unsure, likely);
    }
  }
  return list;
}

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
  const list = floats(nodes * TOLERANCES.length);
  TOLERANCES.forEach((stand, t) =>
    list.fill(
      inDoubt(
        row.reads[0]! + movedAt(row, stand, 0) + (isAgainstBattery ? stand.offsetVolts : 0),
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
