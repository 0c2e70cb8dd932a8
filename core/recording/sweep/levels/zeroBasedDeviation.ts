/**
 * The best that a line through the first point can do: its largest distance to the others, with the slope that makes it
 * smallest. The largest distance is convex in the slope and bends only where two distances are alike, so that one of those is best.
 *
 * @param x rising
 */
export function zeroBasedDeviation(x: readonly number[], y: readonly number[]): number {
  const points = x.slice(1).map((at, i) => ({ run: at - x[0]!, rise: y[i + 1]! - y[0]! }));
  const slopes = points.flatMap((one) => [
    one.rise / one.run,
    ...points.map((other) => (one.rise + other.rise) / (one.run + other.run)),
  ]);
  return Math.min(
    ...slopes.map((slope) => Math.max(...points.map(({ run, rise }) => Math.abs(rise - slope * run)))),
  );
}
