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
  let from = 0;
  let [lowest, highest] = [Infinity, -Infinity];
  const close = (to: number) => {
    if (seconds[to]! - seconds[from]! >= leastSeconds && highest - lowest >= leastMove)
      found.push({ from, to, value: channel[from]!, otherMoved: highest - lowest });
  };
  let held = channel[0]!;
  for (let i = 0; i < channel.length; i++) {
    const value = channel[i]!;
    if (value !== held && !Number.isNaN(value)) {
      if (i > 0) close(i - 1);
      from = i;
      held = value;
      [lowest, highest] = [Infinity, -Infinity];
    }
    const beside = other[i]!;
    if (beside < lowest) lowest = beside;
    if (beside > highest) highest = beside;
  }
  if (channel.length > 0) close(channel.length - 1);
  return found;
}
