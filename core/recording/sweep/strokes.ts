import { blocksOf } from './blocks.ts';

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
  const blocks = blocksOf(position);
  const { samples } = blocks;
  for (let block = 0; block < blocks.lowest.length; block++) {
    lowest = Math.min(lowest, blocks.lowest[block]!);
    highest = Math.max(highest, blocks.highest[block]!);
  }
  const turn = turnShare * (highest - lowest);
  if (!(turn > 0)) return [];
  const strokes: Stroke[] = [];
  let start = position.findIndex((value) => !Number.isNaN(value));
  let direction: Stroke['direction'] | undefined;
  let extremeValue = position[start]!;
  // It stands there, or later in the same block.
  let extremeFrom = start;
  const keep = () => {
    const to = position.indexOf(extremeValue, extremeFrom);
    if (direction && to > start) strokes.push({ direction, from: start, to });
    start = to;
  };
  for (let i = 0; i < position.length; i++) {
    if (i % samples === 0) {
      const [low, high] = [blocks.lowest[i / samples]!, blocks.highest[i / samples]!];
      // Too little goes on within this block, and back from where it came to, for a turn.
      if (Math.max(high, extremeValue) - Math.min(low, extremeValue) < turn) {
        if (direction && (direction === 'up' ? high > extremeValue : low < extremeValue)) {
          extremeValue = direction === 'up' ? high : low;
          extremeFrom = i;
        }
        i += samples - 1;
        continue;
      }
    }
    const value = position[i]!;
    const gone = value - extremeValue;
    if (direction === undefined) {
      if (!(Math.abs(gone) >= turn)) continue;
      direction = gone > 0 ? 'up' : 'down';
    } else if (!(direction === 'up' ? gone > 0 : gone < 0)) {
      if (!(Math.abs(gone) > turn)) continue;
      keep();
      direction = direction === 'up' ? 'down' : 'up';
    }
    extremeValue = value;
    extremeFrom = i;
  }
  keep();
  return strokes;
}
