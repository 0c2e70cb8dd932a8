import { fixed, NOTHING_TO_SAY, say } from '../../../measure/message/index.ts';
import { localNoise } from '../noise.ts';
import type { Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { clock, indexOf, nameOf } from './words.ts';

const NOISY_VOLTS = 0.02;

/** Signals that shake from sample to sample by more than a sound one does, and where. */
export function noisySignals(recording: Recording, context: SweepContext): SweepFinding[] {
  return (['signal', 'second-signal'] as const).flatMap((use): SweepFinding[] => {
    const channel = indexOf(context, use);
    const values = recording.channels[channel]?.values;
    if (!values) return [];
    const noise = localNoise(values);
    const noisy = [...noise.windows.keys()].filter((window) => noise.windows[window]! >= NOISY_VOLTS);
    const [first, last] = [noisy[0], noisy.at(-1)];
    if (first === undefined || last === undefined) return [];
    const { seconds } = recording;
    const from = seconds[first * noise.samples]!;
    const isLast = last === noise.windows.length - 1;
    const until = seconds[isLast ? seconds.length - 1 : (last + 1) * noise.samples - 1]!;
    const worst = noisy.reduce((most, window) => Math.max(most, noise.windows[window]!), 0);
    const where =
      noisy.length === noise.windows.length
        ? NOTHING_TO_SAY
        : say('sweep.between-and', { from: clock(from), until: clock(until) });
    return [
      {
        kind: 'noise',
        weight: 'note',
        sentence: say('sweep.noisy-up-mv-sample-sample', {
          name: nameOf(recording, context, channel),
          noise: fixed(1000 * worst, 0, 'mV'),
          where,
        }),
        channel,
        fromSeconds: from,
        untilSeconds: until,
      },
    ];
  });
}
