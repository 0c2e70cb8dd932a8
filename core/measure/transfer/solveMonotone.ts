/** A line is tried so often in a row before the next halving. */
const LINES_IN_A_ROW = 3;
const MOST_STEPS = 240;

/**
 * Where a monotone function between two places takes a value, to the last digits of a double: where a straight line between the ends
 * meets it, which closes in within some dozen steps on what is nearly straight; and by halving now and then, which closes in on whatever is
 * flat. A value that is never taken ends at the end that is nearest to it.
 */
export function solveMonotone(
  at: (x: number) => number,
  wanted: number,
  { from, to, rising }: { from: number; to: number; rising: boolean },
): number {
  const above = (x: number): number => (rising ? at(x) - wanted : wanted - at(x));
  let [low, high] = [from, to];
  let [belowBy, aboveBy] = [above(low), above(high)];
  let moved = 0;
  if (belowBy >= 0) return low;
  if (aboveBy <= 0) return high;
  for (let step = 1; step <= MOST_STEPS; step++) {
    const middle = (low + high) / 2;
    if (middle <= low || middle >= high) return middle;
    const onLine = high - (aboveBy * (high - low)) / (aboveBy - belowBy);
    const isLine = step % (LINES_IN_A_ROW + 1) !== 0 && onLine > low && onLine < high;
    const x = isLine ? onLine : middle;
    const off = above(x);
    if (off === 0) return x;
    // An end that stays twice is taken for half as far off, so that the next line meets the other side.
    const stays = Math.sign(off) === moved;
    moved = Math.sign(off);
    if (off < 0) {
      [low, belowBy] = [x, off];
      if (stays) aboveBy /= 2;
    } else {
      [high, aboveBy] = [x, off];
      if (stays) belowBy /= 2;
    }
  }
  return (low + high) / 2;
}
