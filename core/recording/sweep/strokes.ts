/** A stretch of travel in one direction. */
export interface Stroke {
  direction: 'up' | 'down';
  /** Samples, the last included. */
  from: number;
  to: number;
}

/**
 * The strokes of a travel: it has turned where it went back by more than a share of its span, so that noise turns nothing.
 */
export function strokesOf(position: Float64Array, turnShare = 0.1): Stroke[] {
  let [lowest, highest] = [Infinity, -Infinity];
  // By index: an iterator over millions takes several times as long.
  for (let i = 0; i < position.length; i++) {
    const value = position[i]!;
    if (value < lowest) lowest = value;
    if (value > highest) highest = value;
  }
  const turn = turnShare * (highest - lowest);
  if (!(turn > 0)) return [];
  const strokes: Stroke[] = [];
  let extreme = 0;
  let extremeValue = NaN;
  let start = position.findIndex((value) => !Number.isNaN(value));
  let direction: Stroke['direction'] | undefined;
  for (let i = 0; i < position.length; i++) {
    const value = position[i]!;
    if (direction === undefined) {
      const gone = value - position[start]!;
      if (!(Math.abs(gone) >= turn)) continue;
      direction = gone > 0 ? 'up' : 'down';
      extreme = i;
      extremeValue = value;
    } else if (direction === 'up' ? value > extremeValue : value < extremeValue) {
      extreme = i;
      extremeValue = value;
    } else if (Math.abs(value - extremeValue) > turn) {
      strokes.push({ direction, from: start, to: extreme });
      start = extreme;
      direction = direction === 'up' ? 'down' : 'up';
      extreme = i;
      extremeValue = value;
    }
  }
  if (direction && extreme > start) strokes.push({ direction, from: start, to: extreme });
  return strokes;
}
