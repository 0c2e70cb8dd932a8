import { STILL_SHARE } from '../besideStimulus.ts';
import { meanOver } from '../meanOver.ts';
import { plateaus } from '../plateaus.ts';

export type Direction = 'up' | 'down';

/** What the sensor said while its stimulus was held. */
export interface HeldReading {
  /** The way that the stimulus came from: upscale or downscale. */
  direction: Direction;
  /** The stimulus as it stood, in its own unit. */
  level: number;
  /** What the sensor said meanwhile, in the same unit; NaN where it said nothing that counts. */
  reads: number;
  fromSeconds: number;
  untilSeconds: number;
}

/** The sensor is read in the last part of a rest, when it has settled. */
const SETTLED_SHARE = 0.5;

/**
 * The levels at which a stimulus was held, in their order, each with what the sensor said there once it had settled.
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
    const settled = Math.ceil(to - SETTLED_SHARE * (to - from));
    const reads = isMostlyThere(output, settled, to) ? meanOver(output, settled, to) : NaN;
    found.push({ direction, level: mean, reads, fromSeconds, untilSeconds });
  }
  return found;
}

/** A sample or two at the edge of a rest are no reading of it. */
function isMostlyThere(values: Float64Array, from: number, to: number): boolean {
  let missing = 0;
  for (let i = from; i <= to; i++) if (Number.isNaN(values[i]!)) missing++;
  return 2 * missing < to - from + 1;
}
