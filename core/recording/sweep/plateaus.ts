import { blocksOf } from './blocks.ts';
import { meanOver } from './meanOver.ts';
import { noiseOf } from './noise.ts';

/** A stretch in which a signal stood still. */
export interface Plateau {
  from: number;
  /** The last sample of it. */
  to: number;
  fromSeconds: number;
  untilSeconds: number;
  mean: number;
}

export interface PlateauSettings {
  leastSeconds?: number;
  /** What still counts as standing, in the signal's unit, beside its own scatter. */
  slack?: number;
}

const LEAST_SECONDS = 1;
/** Two samples a second apart are no rest that anybody saw. */
const LEAST_SAMPLES = 4;
/** What is still on its way to its level is this far from it, as a share of what counts as standing. */
const SETTLED_SHARE = 0.35;
const SLACK_VOLTS = 0.03;
const NOISE_FACTOR = 5;
const LEAST_FOR_NOISE = 32;

/** Where a pump, a pedal or an engine was held: the steps of a stimulus. */
export function plateaus(
  seconds: Float64Array,
  values: Float64Array,
  { leastSeconds = LEAST_SECONDS, slack = SLACK_VOLTS }: PlateauSettings = {},
): Plateau[] {
  // A handful of samples shows no scatter, only what was held.
  const width = slack + (values.length < LEAST_FOR_NOISE ? 0 : NOISE_FACTOR * noiseOf(values));
  const found: Pick<Plateau, 'from' | 'to'>[] = [];
  let from = 0;
  let lowest = Infinity;
  let highest = -Infinity;
  const blocks = blocksOf(values);
  const { samples } = blocks;
  for (let i = 0; i < values.length; i++) {
    const block = i % samples === 0 ? i / samples : -1;
    // A block at a time, where all of it stands still with what came before.
    if (block >= 0) {
      const low = Math.min(lowest, blocks.lowest[block]!);
      const high = Math.max(highest, blocks.highest[block]!);
      if (high - low <= width) {
        [lowest, highest] = [low, high];
        i += samples - 1;
        continue;
      }
    }
    const value = values[i]!;
    if (Number.isNaN(value)) continue;
    const low = value < lowest ? value : lowest;
    const high = value > highest ? value : highest;
    if (high - low <= width) {
      lowest = low;
      highest = high;
      continue;
    }
    keepLong(found, seconds, from, i - 1, leastSeconds);
    from = i;
    lowest = value;
    highest = value;
  }
  if (lowest <= highest) keepLong(found, seconds, from, values.length - 1, leastSeconds);
  return joined(
    found.map((one) => settled(one, seconds, values, width)),
    width,
  ).filter(
    ({ from: first, to, fromSeconds, untilSeconds }) =>
      untilSeconds - fromSeconds >= leastSeconds && to - first + 1 >= LEAST_SAMPLES,
  );
}

/** A rest begins once the signal has come to its level: the way there is no part of it. */
function settled(
  { from, to }: Pick<Plateau, 'from' | 'to'>,
  seconds: Float64Array,
  values: Float64Array,
  width: number,
): Plateau {
  const level = meanOver(values, (from + to) >> 1, to);
  let first = from;
  while (first < to && !(Math.abs(values[first]! - level) <= SETTLED_SHARE * width)) first++;
  return {
    from: first,
    to,
    fromSeconds: seconds[first]!,
    untilSeconds: seconds[to]!,
    mean: meanOver(values, first, to),
  };
}

/** One rest that a slow drift or a single sample has cut in two is one rest. */
function joined(rests: readonly Plateau[], width: number): Plateau[] {
  const all: Plateau[] = [];
  for (const rest of rests) {
    const last = all.at(-1);
    if (last && rest.from - last.to <= LEAST_SAMPLES && Math.abs(rest.mean - last.mean) <= width / 2) {
      const [before, after] = [last.to - last.from + 1, rest.to - rest.from + 1];
      last.mean = (last.mean * before + rest.mean * after) / (before + after);
      last.to = rest.to;
      last.untilSeconds = rest.untilSeconds;
    } else all.push({ ...rest });
  }
  return all;
}

function keepLong(
  found: Pick<Plateau, 'from' | 'to'>[],
  seconds: Float64Array,
  from: number,
  to: number,
  leastSeconds: number,
): void {
  if (seconds[to]! - seconds[from]! >= leastSeconds) found.push({ from, to });
}
