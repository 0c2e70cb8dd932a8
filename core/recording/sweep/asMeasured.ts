import { NOTHING_TO_SAY, say, verbatim, type Message } from '../../measure/message/index.ts';
import { channelScale } from './channelUnit.ts';
import type { SweepContext, SweepFinding } from './findings/finding.ts';
import type { Recording } from './recording.ts';

export interface MeasuredRecording {
  /** Volts, the measurand's unit on the sensor's own basis, revolutions a minute. */
  recording: Recording;
  /** A channel that cannot be read is something else until somebody says what it is. */
  context: SweepContext;
  /** What has to be said first, channel by channel. */
  questions: SweepFinding[];
}

/** No five-volt wire carries this: numbers without a unit are then more likely millivolts than volts. */
const NOT_VOLTS = 60;

/** The recording in the core's units, so that whatever is compared has one unit and one basis. */
export function asMeasured(recording: Recording, context: SweepContext): MeasuredRecording {
  const questions: SweepFinding[] = [];
  const uses = [...context.uses];
  const channels = recording.channels.map((channel, i) => {
    const use = uses[i] ?? 'other';
    const read = channelScale({
      use,
      unit: channel.unit,
      basis: context.bases?.[i],
      measures: context.profile.measures,
      ambientKpaAbs: context.ambientKpaAbs,
    });
    const isSignal = use === 'signal' || use === 'second-signal' || use === 'reference';
    const question =
      'question' in read
        ? read.question
        : isSignal && channel.unit === '' && largest(channel.values) > NOT_VOLTS
          ? say('sweep.no-unit-numbers-no-volts')
          : undefined;
    if (question !== undefined || 'question' in read) {
      uses[i] = 'other';
      questions.push(
        asked(
          say('sweep.left-out', { name: verbatim(channel.name), question: question ?? NOTHING_TO_SAY }),
          i,
          recording,
        ),
      );
      return channel;
    }
    if (read.scale === 1 && read.offset === 0) return channel;
    return { ...channel, values: channel.values.map((value) => value * read.scale + read.offset) };
  });
  return { recording: { ...recording, channels }, context: { ...context, uses }, questions };
}

const asked = (sentence: Message, channel: number, { seconds }: Recording): SweepFinding => ({
  kind: 'question',
  weight: 'note',
  sentence,
  channel,
  fromSeconds: seconds[0] ?? 0,
  untilSeconds: seconds.at(-1) ?? 0,
});

function largest(values: Float64Array): number {
  let most = 0;
  for (const value of values) if (Math.abs(value) > most) most = Math.abs(value);
  return most;
}
