import { niceTicks, type Range } from '../../ui/plot/index.ts';

/** The range that a plot of a unit begins with; it grows with what comes. */
const USUAL: Record<string, Range> = { V: [0, 5], '%': [0, 100] };
const LARGER = 0.08;
const TICKS = 5;

/** A range around what was seen that changes seldom: to the next round number, and never narrower than it is usual. */
export function liveRange(unit: string, lowest: number, highest: number): Range {
  const usual = USUAL[unit];
  if (!(lowest <= highest)) return usual ?? [0, 1];
  if (usual) {
    // A reference a little over five volts is still the usual plot.
    const room = LARGER * (usual[1] - usual[0]);
    const [from, to] = [usual[0] - room, usual[1] + room];
    if (lowest > from && highest < to) return [from, to];
  }
  const [low, high] = usual ? [Math.min(usual[0], lowest), Math.max(usual[1], highest)] : [lowest, highest];
  const room = LARGER * (high - low) || Math.max(0.5, 0.1 * Math.abs(high));
  const ticks = niceTicks(low - room, high + room, TICKS);
  const step = (ticks[1] ?? 1) - (ticks[0] ?? 0) || 1;
  return [Math.floor((low - room) / step) * step, Math.ceil((high + room) / step) * step];
}
