import { fixed, measured, say } from '../../../measure/message/index.ts';
import type { Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { clock, indexOf, lasting } from './words.ts';

/** A stretch in which live data shows one value to its last digit. */
interface Stand {
  /** Its first sample, and the first one after it. */
  from: number;
  to: number;
}

/** So long a value is held that took the place of a lost one; a shorter one may be two samples that are alike. */
const SUBSTITUTED_SECONDS = 0.5;
const SUBSTITUTED_SAMPLES = 4;
/** Of the sensor's range: by so much it leaps there, and back. */
const LEAP_SHARE = 0.15;
/** Nothing that stands for less is called frozen. */
const FROZEN_SECONDS = 5;
/** What chance would do once in so many recordings is no chance. */
const NO_CHANCE = 1e-6;
/** Of so many samples beside a stretch one knows how often it changes. */
const LEAST_BESIDE = 20;
/** Of themselves: by so much the revs move before a value that is made with them should. */
const REVS_MOVED_SHARE = 0.15;

/**
 * Live data without its wire: values that are held to the last digit, where it leaps there and back, or where it changes from sample
 * to sample otherwise. A hand and an engine that stands can do both: it is a fault only where revs that were recorded beside it went on
 * moving.
 */
export function liveByItself(recording: Recording, context: SweepContext): SweepFinding[] {
  const channel = indexOf(context, 'live');
  const values = recording.channels[channel]?.values;
  if (!values || indexOf(context, 'signal') >= 0) return [];
  const { seconds } = recording;
  const { measures, lowest, highest } = context.profile;
  const revs = recording.channels[indexOf(context, 'revs')]?.values;
  const stands = standsOf(values);
  const leap = LEAP_SHARE * (highest - lowest);
  const told = (one: Stand) => ({
    value: measured(values[one.from]!, measures, 'with-basis'),
    lasting: lasting(durationOf(seconds, one)),
    clock: clock(seconds[one.from]!),
  });
  const at = (one: Stand) => ({
    kind: 'stuck' as const,
    channel,
    fromSeconds: seconds[one.from]!,
    untilSeconds: seconds[Math.min(one.to, seconds.length - 1)]!,
  });
  const leaps = stands.filter(
    (one) =>
      one.from > 0 &&
      one.to < values.length &&
      one.to - one.from >= SUBSTITUTED_SAMPLES &&
      durationOf(seconds, one) >= SUBSTITUTED_SECONDS &&
      leapsBothWays(values, one, leap),
  );
  const frozen = stands.filter(
    (one) =>
      !leaps.includes(one) &&
      durationOf(seconds, one) >= FROZEN_SECONDS &&
      (1 - changesBeside(values, one)) ** (one.to - one.from - 1) < NO_CHANCE,
  );
  return [
    ...leaps.map((one): SweepFinding => ({
      ...at(one),
      weight: 'note',
      sentence: say('sweep.live-data-leaps-to-and-back', told(one)),
    })),
    ...frozen.map((one): SweepFinding =>
      revs && turnsOn(revs, one)
        ? { ...at(one), weight: 'fault', sentence: say('sweep.live-data-frozen-while-revs-move', told(one)) }
        : {
            ...at(one),
            weight: 'note',
            sentence: say('sweep.live-data-stands-by-itself', {
              ...told(one),
              percent: fixed(100 * changesBeside(values, one), 0, '%'),
            }),
          },
    ),
  ];
}

const durationOf = (seconds: Float64Array, { from, to }: Stand): number => seconds[to - 1]! - seconds[from]!;

/** Every longest run of one value; where nothing was shown there is none. */
function standsOf(values: Float64Array): Stand[] {
  const found: Stand[] = [];
  for (let from = 0; from < values.length;) {
    let to = from + 1;
    while (to < values.length && values[to] === values[from]) to++;
    if (!Number.isNaN(values[from]) && to - from > 1) found.push({ from, to });
    from = to;
  }
  return found;
}

/** To one side there, to the other side back: what goes on in the same direction is on its way. */
function leapsBothWays(values: Float64Array, { from, to }: Stand, leap: number): boolean {
  const there = values[from]! - values[from - 1]!;
  const back = values[to]! - values[to - 1]!;
  return Math.abs(there) >= leap && Math.abs(back) >= leap && Math.sign(there) !== Math.sign(back);
}

/** How often it changes from one sample to the next, but for the stretch itself; of a few samples one knows nothing. */
function changesBeside(values: Float64Array, { from, to }: Stand): number {
  let changed = 0;
  let all = 0;
  for (let i = 1; i < values.length; i++) {
    if ((i >= from && i <= to) || Number.isNaN(values[i]) || Number.isNaN(values[i - 1])) continue;
    all++;
    if (values[i] !== values[i - 1]) changed++;
  }
  return all < LEAST_BESIDE ? 0 : changed / all;
}

/** Whether the engine ran all the while, and not evenly. */
function turnsOn(revs: Float64Array, { from, to }: Stand): boolean {
  let least = Infinity;
  let most = -Infinity;
  for (let i = from; i < to; i++) {
    if (Number.isNaN(revs[i])) continue;
    least = Math.min(least, revs[i]!);
    most = Math.max(most, revs[i]!);
  }
  return least > 0 && most - least > REVS_MOVED_SHARE * most;
}
