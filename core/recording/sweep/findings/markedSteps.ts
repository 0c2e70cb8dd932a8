import { fixed, say, verbatim, type Message } from '../../../measure/message/index.ts';
import { standingAt } from '../standingAt.ts';
import type { Recording } from '../recording.ts';
import type { SweepContext, SweepFinding, SweepMark } from './finding.ts';
import { channelFor } from './words.ts';

type Volts = NonNullable<SweepMark['expectedVolts']>;
type Step = SweepMark & { expectedVolts: Volts };

/** What the signal was where somebody marked a step of a stimulus, against what it should have been. */
export function markedSteps(recording: Recording, context: SweepContext): SweepFinding[] {
  const signal = channelFor(recording, context, 'signal');
  const steps = (context.marks ?? []).filter((mark): mark is Step => mark.expectedVolts !== undefined);
  if (!signal || steps.length === 0) return [];
  const { channel, values } = signal;
  const held = steps.map((step) => ({ step, ...standingAt(recording.seconds, values, step.atSeconds) }));
  const wrong = held.filter(
    ({ step: { expectedVolts }, mean }) => !(mean >= expectedVolts.lowest && mean <= expectedVolts.highest),
  );
  const faults = wrong.map(
    ({ step: { words, expectedVolts }, mean, fromSeconds, untilSeconds }): SweepFinding => ({
      kind: 'marked-step',
      weight: 'fault',
      sentence: Number.isNaN(mean)
        ? say('sweep.no-signal-recorded-expected', { words: verbatim(words), band: band(expectedVolts) })
        : say('sweep.signal-stood-expected', {
            words: verbatim(words),
            mean: fixed(mean, 2, 'V'),
            band: band(expectedVolts),
          }),
      channel,
      fromSeconds,
      untilSeconds,
    }),
  );
  const right = held.length - wrong.length;
  if (right === 0) return faults;
  const [first, last] = [held[0]!, held.at(-1)!];
  return [
    ...faults,
    {
      kind: 'marked-step',
      weight: 'note',
      sentence: say('sweep.marked-steps-where-signal-expected', { right, all: held.length }),
      channel,
      fromSeconds: first.fromSeconds,
      untilSeconds: last.untilSeconds,
    },
  ];
}

const band = ({ lowest, highest }: Volts): Message =>
  say('sweep.band', { lowest: fixed(lowest, 2), highest: fixed(highest, 2, 'V') });
