import { plateaus } from './plateaus.ts';
import { stepResponse, type StepResponse } from './stepResponse.ts';

/** A step of a signal, beside what drove it where that was recorded. */
export interface AnsweredStep extends StepResponse {
  /** The stimulus of the same step: how long after its beginning the signal began, and how long it took itself. */
  stimulus: { deadSeconds: number; secondsTo63: number } | undefined;
}

/** A rest before and after a step, long enough to know both levels by. */
const LEAST_REST_SECONDS = 0.3;
const LEAST_STEP_VOLTS = 0.3;
/** A snap is over before a hand that moves slowly has begun. */
const SNAP_SECONDS = 0.4;
/** A slow sensor bends into its new value: 90 % takes 2.3 times as long as 63 %; a steady hand 1.4 times. */
const BENDS_IN = 1.9;
/** Of the range of a stimulus: less is no step of it. */
const LEAST_STEP_SHARE = 0.02;

/**
 * Every step of a signal between two rests, in their order; where nobody recorded what drove it, only those that were too quick
 * for a hand, or that the sensor itself was slow in.
 *
 * @param volts of the signal
 * @param stimulus in whatever unit
 */
export function answeredSteps(
  seconds: Float64Array,
  volts: Float64Array,
  stimulus?: Float64Array,
): AnsweredStep[] {
  const rests = plateaus(seconds, volts, { leastSeconds: LEAST_REST_SECONDS });
  const leastStimulus = stimulus && LEAST_STEP_SHARE * rangeOf(stimulus);
  return rests.slice(1).flatMap((after, i) => {
    const before = rests[i]!;
    // Most rests of a slow travel follow each other: no step between them.
    if (Math.abs(after.mean - before.mean) < LEAST_STEP_VOLTS) return [];
    // From the middle of one rest to the middle of the next: both levels are well known there.
    const [from, to] = [(before.from + before.to) >> 1, ((after.from + after.to) >> 1) + 1];
    const answer = stepResponse(seconds.subarray(from, to), volts.subarray(from, to), LEAST_STEP_VOLTS);
    if (!answer) return [];
    const driven =
      stimulus && stepResponse(seconds.subarray(from, to), stimulus.subarray(from, to), leastStimulus);
    const { secondsTo63, secondsTo90, fromSeconds } = answer;
    if (!driven && secondsTo63 > SNAP_SECONDS && secondsTo90 < BENDS_IN * secondsTo63) return [];
    return [
      {
        ...answer,
        stimulus: driven && {
          deadSeconds: fromSeconds - driven.fromSeconds,
          secondsTo63: driven.secondsTo63,
        },
      },
    ];
  });
}

function rangeOf(values: Float64Array): number {
  let [lowest, highest] = [Infinity, -Infinity];
  for (const value of values) {
    if (value < lowest) lowest = value;
    if (value > highest) highest = value;
  }
  return highest - lowest;
}
