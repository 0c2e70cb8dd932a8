import { dropoutsIn } from './dropoutsIn.ts';
import type { Recording } from '../recording.ts';
import { supplyScale } from '../supplyScale.ts';
import { MOST_OF_A_KIND, type SweepContext, type SweepFinding } from './finding.ts';
import { andMore, clock, indexOf, lasting, nameOf, placeWords, positionAt } from './words.ts';

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
          sentence: `${nameOf(recording, context, channel)} drops out${placeWords(position, context)}: ${lasting(untilSeconds - fromSeconds)} at ${farthestValue.toFixed(2)} V instead of ${courseValue.toFixed(2)} V, ${clock(fromSeconds)} into the recording.`,
          channel,
          fromSeconds,
          untilSeconds,
          ...(position === undefined ? {} : { position }),
        };
      });
    const what = `${nameOf(recording, context, channel)} drops out`;
    return [...shown, ...andMore('dropout', all.length, shown.length, what, channel, all, recording)];
  });
}
