import { fixed, say } from '../../../measure/message/index.ts';
import { answeredSteps } from '../answeredSteps.ts';
import { sampleRate, type Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { channelFor, clock, lasting, nameOf } from './words.ts';

/** How fast the signal answers where the stimulus was snapped: the slowest answer of the recording. */
export function stepsAnswered(recording: Recording, context: SweepContext): SweepFinding[] {
  const signal = channelFor(recording, context, 'signal');
  if (!signal) return [];
  const { channel, values } = signal;
  // Of quick steps only: how long a slow stimulus took says nothing of the sensor.
  const answers = answeredSteps(recording.seconds, values);
  const slowest = answers.toSorted((a, b) => b.secondsTo90 - a.secondsTo90)[0];
  if (!slowest) return [];
  const sampleSeconds = 1 / sampleRate(recording);
  const { fromSeconds, initial, final, secondsTo63, secondsTo90 } = slowest;
  const step = {
    name: nameOf(recording, context, channel),
    steps: answers.length,
    initial: fixed(initial, 2),
    final: fixed(final, 2, 'V'),
    clock: clock(fromSeconds),
  };
  return [
    {
      kind: 'step-response',
      weight: 'note',
      sentence:
        secondsTo90 <= sampleSeconds
          ? say('sweep.answers-within-a-sample', { ...step, sample: lasting(sampleSeconds) })
          : say('sweep.answers', { ...step, to63: lasting(secondsTo63), to90: lasting(secondsTo90) }),
      channel,
      fromSeconds,
      untilSeconds: fromSeconds + secondsTo90,
    },
  ];
}
