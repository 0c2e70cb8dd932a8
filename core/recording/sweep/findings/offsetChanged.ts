import { measured, say } from '../../../measure/message/index.ts';
import { valuesFromSignals } from '../../../measure/transfer/index.ts';
import { noiseOf } from '../noise.ts';
import { offsetChange } from '../offsetChange.ts';
import type { Recording } from '../recording.ts';
import { atNominal } from '../supplyScale.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { channelFor, clock, nameOf, wholeOf } from './words.ts';

/** Within a piece of a recording a gauge that is held moves by less, as a share of the sensor's span. */
const STILL_SHARE = 0.004;
/** Its own scatter stays within so many standard deviations. */
const SCATTER_FACTOR = 6;

/** A sensor that from some moment on stands off the gauge by another amount than before. */
export function offsetChanged(recording: Recording, context: SweepContext): SweepFinding[] {
  const { profile } = context;
  const signal = channelFor(recording, context, 'signal');
  const stimulus = channelFor(recording, context, 'stimulus');
  if (!signal || !stimulus) return [];
  const output = new Float64Array(signal.values.length);
  const volts = atNominal(recording, context, signal.values);
  valuesFromSignals(volts, profile.nominalReferenceVolts, profile, output);
  const still = STILL_SHARE * (profile.highest - profile.lowest) + SCATTER_FACTOR * noiseOf(stimulus.values);
  const change = offsetChange(recording.seconds, stimulus.values, output, still);
  if (!change || Math.abs(change.by) < profile.differenceThatMatters) return [];
  const { by } = change;
  const values = {
    name: nameOf(recording, context, signal.channel),
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
      channel: signal.channel,
      ...whole,
      ...(change.how === 'at-once' ? { fromSeconds: change.atSeconds } : {}),
    },
  ];
}
