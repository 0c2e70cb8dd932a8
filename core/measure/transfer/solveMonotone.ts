/**
 * Where a monotone function between two places takes a value: halving always closes in on the one answer, and 60
 * halvings exhaust a double.
 */
export function solveMonotone(
  at: (x: number) => number,
  wanted: number,
  { from, to, rising }: { from: number; to: number; rising: boolean },
): number {
  let low = from;
  let high = to;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (at(middle) < wanted === rising) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
