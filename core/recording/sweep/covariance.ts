import { type Piece } from './offsetPieces.ts';

/** Of pieces, what is added up. */
export interface Sums {
  sum: number;
  xs: number;
  ds: number;
  xx: number;
  xd: number;
  dd: number;
}
export const NOTHING: Sums = { sum: 0, xs: 0, ds: 0, xx: 0, xd: 0, dd: 0 };
/** With one piece more. */
export const plus = (a: Sums, { x, d }: Piece): Sums => ({
  sum: a.sum + 1,
  xs: a.xs + x,
  ds: a.ds + d,
  xx: a.xx + x * x,
  xd: a.xd + x * d,
  dd: a.dd + d * d,
});
/** Without those. */
export const minus = (a: Sums, b: Sums): Sums => ({
  sum: a.sum - b.sum,
  xs: a.xs - b.xs,
  ds: a.ds - b.ds,
  xx: a.xx - b.xx,
  xd: a.xd - b.xd,
  dd: a.dd - b.dd,
});

/** Sums of squares and products about the means. */
interface Scatter {
  xx: number;
  xd: number;
  dd: number;
}
export const NO_SCATTER: Scatter = { xx: 0, xd: 0, dd: 0 };
/** About the means of what was added up. */
export const scatter = ({ sum, xs, ds, xx, xd, dd }: Sums): Scatter => ({
  xx: xx - (xs * xs) / sum,
  xd: xd - (xs * ds) / sum,
  dd: dd - (ds * ds) / sum,
});
/** A stimulus that stood at one level has no slope to show. */
export const slopeOf = (a: Scatter, b: Scatter, oneLevel: number): number => {
  const xx = a.xx + b.xx;
  return xx > oneLevel ? (a.xd + b.xd) / xx : 0;
};
/** Of the squares, what offset and slope do not explain; rounding leaves no less than nothing. */
export const leftOver = (a: Scatter, b: Scatter, oneLevel: number): number =>
  Math.max(0, a.dd + b.dd - slopeOf(a, b, oneLevel) * (a.xd + b.xd));
