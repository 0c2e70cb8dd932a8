/** A piece is this long, so that a sensor has settled a piece after its stimulus; of a long recording there are so many. */
const PIECE_SECONDS = 0.5;
const MOST_PIECES = 2000;

/** A stretch in which the stimulus was held. */
export interface Piece {
  seconds: number;
  /** The stimulus, and by how much the output was more. */
  x: number;
  d: number;
  /** Which way the level was come to: 1 up, −1 down, 0 since the beginning. */
  way: number;
}

/**
 * The stretches of a recording that can be compared: what is missing, or was still on its way, is left out.
 *
 * @param still what a held stimulus moves by at most
 */
export function piecesOf(
  seconds: Float64Array,
  stimulus: Float64Array,
  output: Float64Array,
  still: number,
): Piece[] {
  const found: Piece[] = [];
  let way = 0;
  const samples = seconds.length;
  const lasting = samples > 1 ? (seconds[samples - 1]! - seconds[0]!) / (samples - 1) : Infinity;
  const size = Math.max(1, Math.ceil(PIECE_SECONDS / lasting), Math.ceil(samples / MOST_PIECES));
  for (let from = 0; from + size <= samples; from += size) {
    let [x, d, count, lowest, highest] = [0, 0, 0, Infinity, -Infinity];
    for (let i = from; i < from + size; i++) {
      const [at, off] = [stimulus[i]!, output[i]! - stimulus[i]!];
      if (Number.isNaN(off)) continue;
      x += at;
      d += off;
      count++;
      if (at < lowest) lowest = at;
      if (at > highest) highest = at;
    }
    const before = found.at(-1)?.x ?? x / count;
    // What lags behind is off while it moves, and settled a piece later.
    const moved = x / count - before;
    if (Math.abs(moved) > still) way = Math.sign(moved);
    const stands = highest - lowest <= still && Math.abs(moved) <= still;
    if (count > 0) found.push({ seconds: seconds[from]!, x: x / count, d: stands ? d / count : NaN, way });
  }
  return found.filter(({ d }) => !Number.isNaN(d));
}
