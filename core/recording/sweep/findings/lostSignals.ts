import { fixed, say } from '../../../measure/message/index.ts';
import { dropoutsIn } from './dropoutsIn.ts';
import type { Recording } from '../recording.ts';
import { supplyScale } from '../supplyScale.ts';
import { MOST_OF_A_KIND, type SweepContext, type SweepFinding } from './finding.ts';
import { andMore, clock, indexOf, lasting, nameOf, placeSaid, positionAt } from './words.ts';

/** Dropouts of the signals: where each leaves its course and comes back, the first few by themselves and the rest as a number. */
export function lostSignals(recording: Recording, context: SweepContext): SweepFinding[] {
  return (['signal', 'second-signal'] as const).flatMap((use) => {
    const channel = indexOf(context, use);
    const values = recording.channels[channel]?.values;
    if (!values) return [];
    const all = dropoutsIn(recording, values);
    const scale = supplyScale(recording, context);
    const shown = all
      .slice(0, MOST_OF_A_KIND)
      .map(({ from, fromSeconds, untilSeconds, courseValue, farthestValue }): SweepFinding => {
        const position = positionAt(context, use, courseValue * scale(Math.max(0, from - 1)));
        return {
          kind: 'dropout',
          weight: 'fault',
          sentence: say('sweep.drops-out-instead-into-recording', {
            name: nameOf(recording, context, channel),
            place: placeSaid(position, context),
            lasting: lasting(untilSeconds - fromSeconds),
            farthestValue: fixed(farthestValue, 2, 'V'),
            courseValue: fixed(courseValue, 2, 'V'),
            clock: clock(fromSeconds),
          }),
          channel,
          fromSeconds,
          untilSeconds,
          ...(position === undefined ? {} : { position }),
        };
      });
    const what = say('sweep.drops-out', { name: nameOf(recording, context, channel) });
    return [...shown, ...andMore('dropout', all.length, shown.length, what, channel, all, recording)];
  });
}
