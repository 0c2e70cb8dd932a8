import { LEAST_SWING_VOLTS } from '../../machine/limits/index.ts';
import { levelsOf, isOnlyChanges, medianStep, isUpsideDown, upShareOf } from './lineLevels.ts';

/** A line that goes down and up again, as its falling edges; or why there are none. */
export type LineEdges = { lowVolts: number; highVolts: number } & (
  | {
      found: 'edges';
      /** In seconds, rising: each is the begin of a pulse. */
      falling: Float64Array;
      /** Captured upside down: what is held for the same time in every pulse is up, and not down. */
      isInverted: boolean;
      /** Nothing but two levels was written down: they are names, and no voltages. */
      isLogic: boolean;
      /** Of the time, as it was captured. */
      upShare: number;
      /** Between two samples, in seconds; 0 where only the changes were written down. */
      sampleSeconds: number;
    }
  /** It stays where it is: nothing toggles. */
  | { found: 'held' }
);

/** Of the swing, to both sides of its middle: what does not get past is no edge. */
const HYSTERESIS = 0.15;

/**
 * Edges of a line from its voltage, by a threshold in the middle with hysteresis; between two samples the moment is where a
 * straight line crosses the threshold. A capture of changes alone has its moments as they are.
 *
 * @param seconds never falling
 * @param volts one a sample; gaps are passed over
 */
export function lineEdges(seconds: Float64Array, volts: Float64Array): LineEdges {
  const { low, high, isTwoLevels } = levelsOf(volts);
  if (!(high - low >= LEAST_SWING_VOLTS)) return { found: 'held', lowVolts: low, highVolts: high };
  const middle = (low + high) / 2;
  const reach = HYSTERESIS * (high - low);
  const sampleSeconds = isTwoLevels && isOnlyChanges(volts) ? 0 : medianStep(seconds);
  const moments = new Float64Array(volts.length);
  let count = 0;
  // The first edge that is kept falls: before it nothing is known of the pulse.
  let isUp = false;
  let isKnown = false;
  let firstFalls = false;
  for (let i = 0; i < volts.length; i++) {
    const value = volts[i]!;
    const goesDown = value < middle - reach;
    if (!goesDown && !(value > middle + reach)) continue;
    if (isKnown && goesDown === !isUp) continue;
    if (isKnown) {
      if (count === 0) firstFalls = goesDown;
      moments[count++] = sampleSeconds === 0 ? seconds[i]! : crossing(seconds, volts, i, middle);
    }
    isUp = !goesDown;
    isKnown = true;
  }
  const falls = firstFalls ? 0 : 1;
  const isInverted = isUpsideDown(moments.subarray(0, count), falls);
  const begin = isInverted ? 1 - falls : falls;
  const falling = new Float64Array(Math.max(0, Math.ceil((count - begin) / 2)));
  for (let k = 0; k < falling.length; k++) falling[k] = moments[begin + 2 * k]!;
  return {
    found: 'edges',
    falling,
    isInverted,
    isLogic: isTwoLevels,
    upShare: upShareOf(moments.subarray(0, count), falls),
    sampleSeconds,
    lowVolts: low,
    highVolts: high,
  };
}

/** Where the line between the last sample on the other side and this one crosses the threshold. */
function crossing(seconds: Float64Array, volts: Float64Array, at: number, middle: number): number {
  let before = at - 1;
  // Samples on the way, and gaps, are stepped over backwards to the one on the other side.
  while (before > 0 && !((volts[before]! - middle) * (volts[at]! - middle) < 0)) before--;
  let after = before + 1;
  while (after < at && !((volts[after]! - middle) * (volts[at]! - middle) > 0)) after++;
  const [from, to] = [volts[before]!, volts[after]!];
  const share = (middle - from) / (to - from);
  return Number.isFinite(share)
    ? seconds[before]! + share * (seconds[after]! - seconds[before]!)
    : seconds[at]!;
}
