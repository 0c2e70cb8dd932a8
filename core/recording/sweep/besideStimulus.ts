import { valuesFromSignals } from '../../measure/transfer/index.ts';
import type { SweepContext } from './findings/finding.ts';
import type { Recording } from './recording.ts';
import { atNominal, followsSupply } from './supplyScale.ts';

/** A sensor beside a stimulus that was recorded with it, both in the unit of what the sensor measures. */
export interface BesideStimulus {
  /** Of the signal. */
  channel: number;
  stimulus: Float64Array;
  /** NaN where the signal is past the limits of its circuit: that is a matter of the circuit, and no value. */
  output: Float64Array;
  /** The supply that the output was worked out with, where it follows one. */
  supply: 'recorded' | 'assumed' | 'no-matter';
}

/** Within a held level a stimulus moves by less, as a share of the sensor's span, beside its own scatter. */
export const STILL_SHARE = 0.004;

/** @returns undefined where signal or stimulus was not recorded */
export function besideStimulus(recording: Recording, context: SweepContext): BesideStimulus | undefined {
  const { profile, uses } = context;
  const channel = uses.indexOf('signal');
  const volts = recording.channels[channel]?.values;
  const stimulus = recording.channels[uses.indexOf('stimulus')]?.values;
  if (!volts || !stimulus) return undefined;
  const { circuitLowVolts, circuitHighVolts } = profile;
  const output = new Float64Array(volts.length);
  valuesFromSignals(atNominal(recording, context, volts), profile.nominalReferenceVolts, profile, output);
  for (let i = 0; i < output.length; i++)
    if (volts[i]! < circuitLowVolts || volts[i]! > circuitHighVolts) output[i] = NaN;
  const supply = !followsSupply(context) ? 'no-matter' : uses.includes('reference') ? 'recorded' : 'assumed';
  return { channel, stimulus, output, supply };
}
