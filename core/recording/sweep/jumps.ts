import { blocksOf } from './blocks.ts';
import { FASTEST_TRAVEL_VOLTS_A_SECOND } from './dropouts.ts';
import type { Recording } from './recording.ts';

/** A signal that stood still on its way and was elsewhere at the next sample: something stuck, and let go. */
export interface Jump {
  /** The first sample behind it. */
  at: number;
  atSeconds: number;
  fromVolts: number;
  toVolts: number;
  /** Where it stood still: before it, or after. */
  stoodAtVolts: number;
}

/** Of what the signal goes through altogether: less is noise, or a hand that twitches. */
const LEAST_SHARE = 0.12;
const LEAST_SPAN_VOLTS = 0.5;
/** Half as long as anybody takes to stop and go on. */
const STOOD_SECONDS = 0.15;
const STILL_SHARE = 0.03;
/** At its ends anything stands, and is let go of: only what goes far and twice as fast as anything moves is no travel. */
const ENDS_SHARE = 0.06;
const FROM_END_SHARE = 0.25;
const FROM_END_FASTER = 2;

/** @param lost stretches in which the signal is no signal: what leaves its course and comes back is no jump */
export function jumps(
  { seconds }: Pick<Recording, 'seconds'>,
  values: Float64Array,
  lost: readonly { from: number; to: number }[],
): Jump[] {
  const { samples, lowest, highest } = blocksOf(values);
  const [low, high] = [
    lowest.reduce((a, b) => Math.min(a, b), Infinity),
    highest.reduce((a, b) => Math.max(a, b), -Infinity),
  ];
  const span = high - low;
  if (!(span >= LEAST_SPAN_VOLTS)) return [];
  const stands = (at: number, step: 1 | -1): boolean => {
    const level = values[at]!;
    for (let i = at; Math.abs(seconds[i]! - seconds[at]!) < STOOD_SECONDS; i += step)
      if (!(Math.abs(values[i]! - level) <= STILL_SHARE * span) || seconds[i + step] === undefined)
        return false;
    return true;
  };
  const isAtEnd = (level: number) => level - low < ENDS_SHARE * span || high - level < ENDS_SHARE * span;
  const isLost = (at: number) => lost.some(({ from, to }) => at >= from && at <= to);
  const found: Jump[] = [];
  for (let i = 1; i < values.length; i++) {
    // Within a block that hardly moves nothing jumps.
    if (i % samples === 1) {
      const block = (i - 1) / samples;
      if (highest[block]! - lowest[block]! < LEAST_SHARE * span) {
        i += samples - 2;
        continue;
      }
    }
    const [from, to] = [values[i - 1]!, values[i]!];
    const gone = Math.abs(to - from);
    if (!(gone >= LEAST_SHARE * span)) continue;
    const fastest = FASTEST_TRAVEL_VOLTS_A_SECOND * (seconds[i]! - seconds[i - 1]!);
    if (gone < fastest || isLost(i)) continue;
    const stoodAtVolts = stands(i - 1, -1) ? from : stands(i, 1) ? to : undefined;
    const isFar = gone >= FROM_END_SHARE * span && gone >= FROM_END_FASTER * fastest;
    if (stoodAtVolts !== undefined && (isFar || !isAtEnd(stoodAtVolts)))
      found.push({ at: i, atSeconds: seconds[i]!, fromVolts: from, toVolts: to, stoodAtVolts });
  }
  return found;
}
