import { say, verbatim } from '../../../measure/message/index.ts';
import { sentIn } from '../../../measure/transfer/index.ts';
import type { Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { indexOf, wholeOf } from './words.ts';

/** Of a line that a value is sent on, recorded too slowly for it, nothing is taken as a voltage: that is said instead. */
export function averageOfTelegrams(recording: Recording, context: SweepContext): SweepFinding[] {
  const channel = indexOf(context, 'signal');
  const found = recording.channels[channel];
  const sends = sentIn(context.profile);
  if (!found || !sends) return [];
  const name = say('sweep.named', { name: verbatim(found.name) });
  return [
    {
      kind: 'telegrams-unread',
      weight: 'note',
      sentence:
        sends === 'telegrams'
          ? say('sweep.average-of-telegrams', { name })
          : say('sweep.average-of-pulses', { name }),
      channel,
      ...wholeOf(recording),
    },
  ];
}
