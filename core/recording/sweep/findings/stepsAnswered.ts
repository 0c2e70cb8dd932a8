import { fixed, say } from '../../../measure/message/index.ts';
import { plateaus } from '../plateaus.ts';
import type { Recording } from '../recording.ts';
import { stepResponse } from '../stepResponse.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { channelFor, clock, lasting, nameOf } from './words.ts';

/** A rest before and after a step, long enough to know both levels by. */
const LEAST_REST_SECONDS = 0.3;
const LEAST_STEP_VOLTS = 0.3;
/** A snap is over before a hand that moves slowly has begun. */
const SNAP_SECONDS = 0.4;
/** A slow sensor bends into its new value: 90 % takes 2.3 times as long as 63 %; a steady hand 1.4 times. */
const BENDS_IN = 1.9;

/** How fast the signal answers where the stimulus was snapped: the slowest answer of the recording. */
export function stepsAnswered(recording: Recording, context: SweepContext): SweepFinding[] {
  const signal = channelFor(recording, context, 'signal');
  if (!signal) return [];
  const { channel, values } = signal;
  const { seconds } = recording;
  const rests = plateaus(seconds, values, { leastSeconds: LEAST_REST_SECONDS });
  const answers = rests.slice(1).flatMap((after, i) => {
    const before = rests[i]!;
    // Most rests of a slow travel follow each other: no step between them.
    if (Math.abs(after.mean - before.mean) < LEAST_STEP_VOLTS) return [];
    // From the middle of one rest to the middle of the next: both levels are well known there.
    const [from, to] = [(before.from + before.to) >> 1, ((after.from + after.to) >> 1) + 1];
    const answer = stepResponse(seconds.subarray(from, to), values.subarray(from, to), LEAST_STEP_VOLTS);
    if (!answer) return [];
    const { secondsTo63, secondsTo90 } = answer;
    return secondsTo63 <= SNAP_SECONDS || secondsTo90 >= BENDS_IN * secondsTo63 ? [answer] : [];
  });
  const slowest = answers.toSorted((a, b) => b.secondsTo90 - a.secondsTo90)[0];
  if (!slowest) return [];
  const { fromSeconds, initial, final, secondsTo63, secondsTo90 } = slowest;
  return [
    {
      kind: 'step-response',
      weight: 'note',
      sentence: say('sweep.answers', {
        name: nameOf(recording, context, channel),
        steps: answers.length,
        initial: fixed(initial, 2),
        final: fixed(final, 2, 'V'),
        to63: lasting(secondsTo63),
        to90: lasting(secondsTo90),
        clock: clock(fromSeconds),
      }),
      channel,
      fromSeconds,
      untilSeconds: fromSeconds + secondsTo90,
    },
  ];
}
