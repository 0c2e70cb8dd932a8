import { plateaus } from '../plateaus.ts';

export type Direction = 'up' | 'down';

/** What the sensor said while its stimulus was held. */
export interface HeldReading {
  /** The way that the stimulus came from: upscale or downscale. */
  direction: Direction;
  /** The stimulus as it stood, in its own unit. */
  level: number;
  /** What the sensor said meanwhile, in the same unit. */
  reads: number;
  fromSeconds: number;
  untilSeconds: number;
}

/** A level is one that stays within this share of the span, beside the scatter of its channel. */
const STILL_SHARE = 0.004;
/** The sensor is read in the last part of a rest, when it has settled. */
const SETTLED_SHARE = 0.5;

/**
 * The levels at which a stimulus was held, in their order, each with what the sensor said there once it had settled. A rest in
 * which the sensor said nothing is left out.
 *
 * @param stimulus in the unit of `output`, sample by sample
 * @param span of the sensor, in the same unit
 */
export function heldReadings(
  seconds: Float64Array,
  stimulus: Float64Array,
  output: Float64Array,
  span: number,
): HeldReading[] {
  const slack = STILL_SHARE * span;
  const rests = plateaus(seconds, stimulus, { slack });
  const found: HeldReading[] = [];
  for (const [i, { from, to, mean, fromSeconds, untilSeconds }] of rests.entries()) {
    const before = rests[i - 1]?.mean;
    const after = rests[i + 1]?.mean ?? mean;
    const last = found.at(-1)?.direction ?? 'up';
    const direction =
      before === undefined
        ? after >= mean
          ? 'up'
          : 'down'
        : Math.abs(mean - before) <= slack
          ? last
          : mean > before
            ? 'up'
            : 'down';
    const reads = meanOf(output, Math.ceil(to - SETTLED_SHARE * (to - from)), to);
    if (Number.isFinite(reads)) found.push({ direction, level: mean, reads, fromSeconds, untilSeconds });
  }
  return found;
}

function meanOf(values: Float64Array, from: number, to: number): number {
  let [sum, count] = [0, 0];
  for (let i = from; i <= to; i++) {
    const value = values[i]!;
    if (Number.isNaN(value)) continue;
    sum += value;
    count++;
  }
  return sum / count;
}
