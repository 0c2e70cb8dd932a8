import { measured, say } from '../../../measure/message/index.ts';
import { besideStimulus, STILL_SHARE } from '../besideStimulus.ts';
import { noiseOf } from '../noise.ts';
import { offsetChange } from '../offsetChange.ts';
import type { Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { clock, nameOf, wholeOf } from './words.ts';

/** Its own scatter stays within so many standard deviations. */
const SCATTER_FACTOR = 6;

/** A sensor that from some moment on stands off the gauge by another amount than before. */
export function offsetChanged(recording: Recording, context: SweepContext): SweepFinding[] {
  const { profile } = context;
  const beside = besideStimulus(recording, context);
  if (!beside) return [];
  const { channel, stimulus, output } = beside;
  const still = STILL_SHARE * (profile.highest - profile.lowest) + SCATTER_FACTOR * noiseOf(stimulus);
  const change = offsetChange(recording.seconds, stimulus, output, still);
  if (!change || Math.abs(change.by) < profile.differenceThatMatters) return [];
  const { by } = change;
  const values = {
    name: nameOf(recording, context, channel),
    by: measured(Math.abs(by), profile.measures, 'fine'),
    higher: by > 0,
  };
  const whole = wholeOf(recording);
  return [
    {
      kind: 'offset',
      weight: 'fault',
      sentence:
        change.how === 'slowly'
          ? say('sweep.offset-drifts', values)
          : say('sweep.offset-changed', { ...values, clock: clock(change.atSeconds) }),
      channel,
      ...whole,
      ...(change.how === 'at-once' ? { fromSeconds: change.atSeconds } : {}),
    },
  ];
}
