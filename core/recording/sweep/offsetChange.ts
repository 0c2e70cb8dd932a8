import { piecesOf, type Piece } from './offsetPieces.ts';
import { NOTHING, plus, leftOver, scatter, NO_SCATTER, minus, slopeOf, type Sums } from './covariance.ts';

/** Two channels that should say the same, apart by one amount first and by another later. */
export type OffsetChange =
  /** From one moment on; `by` is the offset after minus the offset before, at one and the same level. */
  | { how: 'at-once'; atSeconds: number; by: number }
  /** All the time, by so much in all. */
  | { how: 'slowly'; by: number };
/** A change is looked for where at least this share lies before and after it. */
const EITHER_SIDE_SHARE = 0.05;
/** How many times what is left over by chance a change must explain (an F ratio; by far beyond any table). */
const SURELY = 60;

/**
 * How the offset of one channel against another changed; what depends on the level, or on the way that it was come to, is no
 * change: it must show at one level come to from one side, read before and after. Least squares with one slope for both sides
 * (analysis of covariance), at every moment that could be it, against a straight drift.
 *
 * @param stimulus in the unit of `output`; samples that are missing, or while it moves, are left out
 * @param still what the stimulus may move by within a piece that counts
 * @returns undefined where one offset explains it as well, or too little was recorded
 */
export function offsetChange(
  seconds: Float64Array,
  stimulus: Float64Array,
  output: Float64Array,
  still: number,
): OffsetChange | undefined {
  const pieces = piecesOf(seconds, stimulus, output, still);
  const n = pieces.length;
  const least = Math.max(5, Math.ceil(EITHER_SIDE_SHARE * n));
  if (n < 2 * least) return undefined;
  const upTo = [NOTHING];
  for (const piece of pieces) upTo.push(plus(upTo.at(-1)!, piece));
  const all = upTo[n]!;
  const level = still * still;
  const whole = leftOver(scatter(all), NO_SCATTER, level);
  let best: { k: number; left: number } | undefined;
  for (let k = least; k <= n - least; k++) {
    const left = leftOver(scatter(upTo[k]!), scatter(minus(all, upTo[k]!)), level);
    if (!best || left < best.left) best = { k, left };
  }
  if (!best) return undefined;
  const { k, left } = best;
  const drift = driftOf(pieces, level);
  const leastLeft = Math.min(left, drift.left);
  if (whole - leastLeft < (SURELY * leastLeft) / (n - 3) || whole <= 0) return undefined;
  if (drift.left < left) {
    const by = drift.perSecond * (pieces[n - 1]!.seconds - pieces[0]!.seconds);
    return isSeenAgain(pieces, n >> 1, by / 2, still) ? { how: 'slowly', by } : undefined;
  }
  const [before, after] = [upTo[k]!, minus(all, upTo[k]!)];
  const slope = slopeOf(scatter(before), scatter(after), level);
  const mean = ({ sum, xs, ds }: Sums) => ({ x: xs / sum, d: ds / sum });
  const [first, second] = [mean(before), mean(after)];
  const by = second.d - first.d - slope * (second.x - first.x);
  return isSeenAgain(pieces, k, by, still)
    ? { how: 'at-once', atSeconds: pieces[k]!.seconds, by }
    : undefined;
}

/** What a change must at least show of itself where one level was come to from one side before it and after. */
const SEEN_SHARE = 0.5;

function isSeenAgain(pieces: readonly Piece[], k: number, by: number, still: number): boolean {
  const placed = (from: number, to: number): Map<string, number[]> => {
    const found = new Map<string, number[]>();
    for (const { x, d, way } of pieces.slice(from, to)) {
      const key = `${way} ${Math.round(x / (2 * still))}`;
      found.set(key, [...(found.get(key) ?? []), d]);
    }
    return found;
  };
  const [before, after] = [placed(0, k), placed(k, pieces.length)];
  const mean = (all: readonly number[]) => all.reduce((sum, one) => sum + one, 0) / all.length;
  const moved = [...before].flatMap(([key, first]) => {
    const second = after.get(key);
    return second ? [(mean(second) - mean(first)) / by] : [];
  });
  return moved.length > 0 && mean(moved) >= SEEN_SHARE;
}

/** The straight line in time that explains most, beside one in the level. */
function driftOf(pieces: readonly Piece[], oneLevel: number): { left: number; perSecond: number } {
  const upTo = (of: (piece: Piece) => number) =>
    scatter(pieces.map((piece) => ({ ...piece, d: of(piece) })).reduce(plus, NOTHING));
  const [off, time] = [upTo(({ d }) => d), upTo(({ seconds }) => seconds)];
  const both = upTo(({ d, seconds }) => d + seconds);
  // What the level does not explain of offset, of time, and of both together.
  const [offLeft, timeLeft, bothLeft] = [off, time, both].map((one) =>
    leftOver(one, NO_SCATTER, oneLevel),
  ) as [number, number, number];
  const together = (bothLeft - offLeft - timeLeft) / 2;
  const perSecond = timeLeft > 0 ? together / timeLeft : 0;
  return { left: Math.max(0, offLeft - perSecond * together), perSecond };
}
