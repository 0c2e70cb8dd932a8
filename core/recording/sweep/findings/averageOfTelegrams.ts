import { say, verbatim } from '../../../measure/message/index.ts';
import { sendsTelegrams } from '../../../measure/transfer/index.ts';
import type { Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { indexOf, wholeOf } from './words.ts';

/** Of a line that carries telegrams, recorded too slowly for them, nothing is taken as a voltage: that is said instead. */
export function averageOfTelegrams(recording: Recording, context: SweepContext): SweepFinding[] {
  const channel = indexOf(context, 'signal');
  const found = recording.channels[channel];
  if (!found || !sendsTelegrams(context.profile)) return [];
  const name = say('sweep.named', { name: verbatim(found.name) });
  return [
    {
      kind: 'telegrams-unread',
      weight: 'note',
      sentence: say('sweep.average-of-telegrams', { name }),
      channel,
      ...wholeOf(recording),
    },
  ];
}
