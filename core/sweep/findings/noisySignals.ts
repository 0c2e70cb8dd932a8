import { noiseOf } from '../noise.ts';
import type { Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { indexOf, nameOf } from './words.ts';

const NOISY_VOLTS = 0.02;

export function noisySignals(recording: Recording, context: SweepContext): SweepFinding[] {
  return (['signal', 'second-signal'] as const).flatMap((use): SweepFinding[] => {
    const channel = indexOf(context, use);
    const values = recording.channels[channel]?.values;
    const noise = values ? noiseOf(values) : 0;
    return noise < NOISY_VOLTS
      ? []
      : [
          {
            kind: 'noise',
            weight: 'note',
            sentence: `${nameOf(recording, context, channel)} is noisy: ${Math.round(1000 * noise)} mV from sample to sample.`,
            channel,
            fromSeconds: recording.seconds[0] ?? 0,
            untilSeconds: recording.seconds.at(-1) ?? 0,
          },
        ];
  });
}
