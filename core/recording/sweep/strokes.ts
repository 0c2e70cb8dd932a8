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
  for (const value of position) {
    if (value < lowest) lowest = value;
    if (value > highest) highest = value;
  }
  const turn = turnShare * (highest - lowest);
  if (!(turn > 0)) return [];
  const strokes: Stroke[] = [];
  let extreme = 0;
  let start = 0;
  let direction: Stroke['direction'] | undefined;
  for (let i = 0; i < position.length; i++) {
    const value = position[i]!;
    if (Number.isNaN(value)) continue;
    if (direction === undefined) {
      const gone = value - position[start]!;
      if (Math.abs(gone) < turn) continue;
      direction = gone > 0 ? 'up' : 'down';
      extreme = i;
      continue;
    }
    const further = direction === 'up' ? value > position[extreme]! : value < position[extreme]!;
    if (further) extreme = i;
    else if (Math.abs(value - position[extreme]!) > turn) {
      strokes.push({ direction, from: start, to: extreme });
      start = extreme;
      direction = direction === 'up' ? 'down' : 'up';
      extreme = i;
    }
  }
  if (direction && extreme > start) strokes.push({ direction, from: start, to: extreme });
  return strokes;
}
