/** A monotone piecewise cubic through points of strictly rising x: no wiggle that the points do not have. */
export interface Pchip {
  at(x: number): number;
  slopeAt(x: number): number;
}

/**
 * Fritsch–Butland slopes with three-point ends, as in Moler, Numerical Computing with MATLAB, 3.6; the same choice as
 * scipy.interpolate.PchipInterpolator. Past the ends the end slope is carried on; whoever asks there marks the answer.
 *
 * @param xs strictly rising, at least two
 */
export function pchip(xs: readonly number[], ys: readonly number[]): Pchip {
  const n = xs.length;
  const x = Float64Array.from(xs);
  const y = Float64Array.from(ys);
  const h = new Float64Array(n - 1);
  const secant = new Float64Array(n - 1);
  for (let i = 0; i < n - 1; i++) {
    h[i] = x[i + 1]! - x[i]!;
    secant[i] = (y[i + 1]! - y[i]!) / h[i]!;
  }
  const slope = nodeSlopes(h, secant);
  const c2 = new Float64Array(n - 1);
  const c3 = new Float64Array(n - 1);
  for (let i = 0; i < n - 1; i++) {
    c2[i] = (3 * secant[i]! - 2 * slope[i]! - slope[i + 1]!) / h[i]!;
    c3[i] = (slope[i]! - 2 * secant[i]! + slope[i + 1]!) / (h[i]! * h[i]!);
  }

  const pieceOf = (at: number): number => {
    let low = 0;
    let high = n - 2;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (x[middle]! <= at) low = middle;
      else high = middle - 1;
    }
    return low;
  };

  return {
    at(value) {
      if (value <= x[0]!) return y[0]! + slope[0]! * (value - x[0]!);
      if (value >= x[n - 1]!) return y[n - 1]! + slope[n - 1]! * (value - x[n - 1]!);
      const i = pieceOf(value);
      const s = value - x[i]!;
      return y[i]! + s * (slope[i]! + s * (c2[i]! + s * c3[i]!));
    },
    slopeAt(value) {
      if (value <= x[0]!) return slope[0]!;
      if (value >= x[n - 1]!) return slope[n - 1]!;
      const i = pieceOf(value);
      const s = value - x[i]!;
      return slope[i]! + s * (2 * c2[i]! + s * 3 * c3[i]!);
    },
  };
}

function nodeSlopes(h: Float64Array, secant: Float64Array): Float64Array {
  const n = h.length + 1;
  const slope = new Float64Array(n);
  if (n === 2) return slope.fill(secant[0]!);
  for (let i = 1; i < n - 1; i++) {
    const before = secant[i - 1]!;
    const after = secant[i]!;
    if (before * after <= 0) continue; // a turning point keeps slope zero, which is what makes it monotone
    const w1 = 2 * h[i]! + h[i - 1]!;
    const w2 = h[i]! + 2 * h[i - 1]!;
    slope[i] = (w1 + w2) / (w1 / before + w2 / after);
  }
  slope[0] = endSlope(h[0]!, h[1]!, secant[0]!, secant[1]!);
  slope[n - 1] = endSlope(h[n - 2]!, h[n - 3]!, secant[n - 2]!, secant[n - 3]!);
  return slope;
}

/** One-sided three-point slope, held back so that it neither turns round nor overshoots. */
function endSlope(h0: number, h1: number, secant0: number, secant1: number): number {
  const slope = ((2 * h0 + h1) * secant0 - h0 * secant1) / (h0 + h1);
  if (slope * secant0 <= 0) return 0;
  return secant0 * secant1 <= 0 && Math.abs(slope) > 3 * Math.abs(secant0) ? 3 * secant0 : slope;
}
