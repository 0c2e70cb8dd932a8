/** Levels of the stimulus at which the strokes are compared. */
export const LEVELS = 41;

/** The output around a level of the stimulus: a line through all samples within half a step of it, so that noise averages out. */
export function outputAt(
  stimulus: Float64Array,
  output: Float64Array,
  from: number,
  to: number,
  level: number,
): number {
  const reach = Math.abs(stimulus[to]! - stimulus[from]!) / (2 * (LEVELS - 1));
  let [n, sx, sy, sxx, sxy] = [0, 0, 0, 0, 0];
  for (let i = from; i <= to; i++) {
    const x = stimulus[i]! - level;
    const y = output[i]!;
    if (!(Math.abs(x) <= reach) || Number.isNaN(y)) continue;
    n++;
    sx += x;
    sy += y;
    sxx += x * x;
    sxy += x * y;
  }
  const determinant = n * sxx - sx * sx;
  return determinant > 1e-12 * n * n * reach * reach ? (sxx * sy - sx * sxy) / determinant : sy / n;
}

/** The mean of curves, point by point. */
export const meanOf = (curves: readonly (readonly number[])[]): number[] =>
  (curves[0] ?? []).map((_, i) => curves.reduce((sum, curve) => sum + curve[i]!, 0) / curves.length);

/** Highest minus lowest of curves, point by point. */
export const spreadOf = (curves: readonly (readonly number[])[]): number[] =>
  (curves[0] ?? []).map((_, i) => {
    const values = curves.map((curve) => curve[i]!);
    return Math.max(...values) - Math.min(...values);
  });

/** How far a curve is from the straight line through its ends. */
export function fromTerminalLine(x: readonly number[], y: readonly number[]): number[] {
  const [x0, x1] = [x[0]!, x.at(-1)!];
  const [y0, y1] = [y[0]!, y.at(-1)!];
  return y.map((value, i) => value - (y0 + ((y1 - y0) * (x[i]! - x0)) / (x1 - x0)));
}

/** Half the width of the narrowest strip that holds all points: its line touches one edge of their hull and a far corner. */
export function smallestDeviation(x: readonly number[], y: readonly number[]): number {
  const corners = [...hull(x, y, 1), ...hull(x, y, -1)];
  let best = Infinity;
  for (const side of [hull(x, y, 1), hull(x, y, -1)])
    for (let i = 1; i < side.length; i++) {
      const [a, b] = [side[i - 1]!, side[i]!];
      const slope = (y[b]! - y[a]!) / (x[b]! - x[a]!);
      let [low, high] = [Infinity, -Infinity];
      for (const corner of corners) {
        const off = y[corner]! - slope * x[corner]!;
        low = Math.min(low, off);
        high = Math.max(high, off);
      }
      best = Math.min(best, (high - low) / 2);
    }
  return best;
}

/** Upper (1) or lower (−1) hull of points whose x rises. */
function hull(x: readonly number[], y: readonly number[], side: 1 | -1): number[] {
  const corners: number[] = [];
  for (let i = 0; i < x.length; i++) {
    while (corners.length >= 2) {
      const [a, b] = [corners.at(-2)!, corners.at(-1)!];
      const turn = (x[b]! - x[a]!) * (y[i]! - y[a]!) - (y[b]! - y[a]!) * (x[i]! - x[a]!);
      if (side * turn < 0) break;
      corners.pop();
    }
    corners.push(i);
  }
  return corners;
}
