import { blocksOf } from './blocks.ts';

/** A stretch in which one channel stood on one value while the other, which it should follow, moved. */
export interface Stuck {
  from: number;
  to: number;
  value: number;
  /** How far the other moved meanwhile, in its own unit. */
  otherMoved: number;
}

/**
 * Live data that stands on one number while the wire moves: stuck, or substituted.
 *
 * @param leastMove of the other channel, in its unit, that this one should have followed
 */
export function stuckAgainst(
  seconds: Float64Array,
  channel: Float64Array,
  other: Float64Array,
  { leastMove, leastSeconds }: { leastMove: number; leastSeconds: number },
): Stuck[] {
  const found: Stuck[] = [];
  const [here, there] = [blocksOf(channel), blocksOf(other)];
  const { samples } = here;
  // Plain loops over what no closure sees, and no look past the end: either costs several times all the rest.
  let to = 0;
  while (to < channel.length) {
    const from = to;
    const held = channel[from]!;
    let lowest = Infinity;
    let highest = -Infinity;
    for (; to < channel.length; to++) {
      const block = to / samples;
      if (to % samples === 0 && here.lowest[block] === held && here.highest[block] === held) {
        lowest = Math.min(lowest, there.lowest[block]!);
        highest = Math.max(highest, there.highest[block]!);
        to = Math.min(channel.length, to + samples) - 1;
        continue;
      }
      const value = channel[to]!;
      // A sample that is no number ends no stretch.
      if (value !== held && value === value) break;
      const beside = other[to]!;
      if (beside < lowest) lowest = beside;
      if (beside > highest) highest = beside;
    }
    if (highest - lowest >= leastMove && seconds[to - 1]! - seconds[from]! >= leastSeconds)
      found.push({ from, to: to - 1, value: held, otherMoved: highest - lowest });
  }
  return found;
}
