import { fixed, say } from '../../../measure/message/index.ts';
import { REFERENCE_TOLERANCE_VOLTS } from '../../../machine/limits/index.ts';
import { noiseOf } from '../noise.ts';
import type { Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { clock, indexOf } from './words.ts';

/** The worst moment of a reference that leaves its tolerance by more than its own noise. */
export function wrongReference(recording: Recording, context: SweepContext): SweepFinding[] {
  const channel = indexOf(context, 'reference');
  const values = recording.channels[channel]?.values;
  if (!values) return [];
  const { nominalReferenceVolts } = context.profile;
  let worst = -1;
  let off = REFERENCE_TOLERANCE_VOLTS + 5 * noiseOf(values);
  for (let i = 0; i < values.length; i++) {
    const distance = Math.abs(values[i]! - nominalReferenceVolts);
    if (distance > off) [worst, off] = [i, distance];
  }
  const at = recording.seconds[worst];
  return at === undefined
    ? []
    : [
        {
          kind: 'reference',
          weight: 'fault',
          sentence: say('sweep.reference-does-not-hold-into', {
            volts: fixed(values[worst]!, 2, 'V'),
            clock: clock(at),
          }),
          channel,
          fromSeconds: at,
          untilSeconds: at,
        },
      ];
}
