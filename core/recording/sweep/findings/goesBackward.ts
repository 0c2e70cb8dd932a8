import { fixed, measured, say } from '../../../measure/message/index.ts';
import { signalFromValue } from '../../../measure/transfer/index.ts';
import { noiseOf } from '../noise.ts';
import type { Recording } from '../recording.ts';
import { atNominal } from '../supplyScale.ts';
import { strokesOf, type Stroke } from '../strokes.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { channelFor } from './words.ts';

const STEPS = 64;
/** What a meter's last digits make of a rise, and how far above its own scatter a mean of a step must fall. */
const SLACK_VOLTS = 0.01;
const NOISE_FACTOR = 4;

/** Where the signal goes back although the stimulus goes on: its worst such place. */
export function goesBackward(recording: Recording, context: SweepContext): SweepFinding[] {
  const raw = channelFor(recording, context, 'signal');
  const signal = raw && { ...raw, values: atNominal(recording, context, raw.values) };
  const stimulus = channelFor(recording, context, 'stimulus');
  if (!signal || !stimulus) return [];
  const { profile } = context;
  const ends = [profile.lowest, profile.highest].map(
    (value) => signalFromValue(value, profile.nominalReferenceVolts, profile).signalVolts,
  );
  const sense = Math.sign(ends[1]! - ends[0]!);
  const noise = noiseOf(signal.values);
  const worst = strokesOf(stimulus.values)
    .flatMap((stroke) => backwardIn(stroke, signal.values, stimulus.values, sense))
    .filter(({ volts, samples }) => volts > SLACK_VOLTS + (NOISE_FACTOR * noise) / Math.sqrt(samples))
    .toSorted((a, b) => b.volts - a.volts)[0];
  if (!worst) return [];
  return [
    {
      kind: 'backward',
      weight: 'fault',
      sentence: say('sweep.signal-goes-back-mv-although', {
        by: fixed(1000 * worst.volts, 0, 'mV'),
        position: measured(worst.position, profile.measures, 'with-basis'),
      }),
      channel: signal.channel,
      fromSeconds: recording.seconds[worst.from]!,
      untilSeconds: recording.seconds[worst.to]!,
      position: worst.position,
    },
  ];
}

interface Backward {
  volts: number;
  position: number;
  from: number;
  to: number;
  /** The fewest that a mean was taken over. */
  samples: number;
}

/** Falls of the signal below the highest it had reached, step by step along one stroke. */
function backwardIn(
  { from, to, direction }: Stroke,
  signal: Float64Array,
  stimulus: Float64Array,
  sense: number,
): Backward[] {
  const along = direction === 'up' ? sense : -sense;
  const width = (stimulus[to]! - stimulus[from]!) / STEPS;
  const steps = Array.from({ length: STEPS }, () => ({ sum: 0, count: 0, first: to, last: from }));
  for (let i = from; i <= to; i++) {
    const step = steps[Math.min(STEPS - 1, Math.floor((stimulus[i]! - stimulus[from]!) / width))];
    if (!step || Number.isNaN(signal[i]!)) continue;
    step.sum += signal[i]!;
    step.count++;
    step.first = Math.min(step.first, i);
    step.last = Math.max(step.last, i);
  }
  const found: Backward[] = [];
  let top: { level: number; at: number; count: number } | undefined;
  steps.forEach(({ sum, count, first, last }, at) => {
    if (count === 0) return;
    const level = (along * sum) / count;
    if (top && level < top.level)
      found.push({
        volts: top.level - level,
        position: stimulus[from]! + width * (at + 0.5),
        from: first,
        to: last,
        samples: Math.min(count, top.count),
      });
    else top = { level, at, count };
  });
  return found;
}
