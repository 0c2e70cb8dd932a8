import { fixed, say } from '../../../measure/message/index.ts';
import { jumps } from '../jumps.ts';
import type { Recording } from '../recording.ts';
import { dropoutsIn } from './dropoutsIn.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { channelFor, clock, nameOf, placeSaid, positionAt } from './words.ts';

/** Of what is moved by hand or foot: where it sticks on its way, all times together. Nothing else has a way that it must not leave. */
export function jumpsOnItsWay(recording: Recording, context: SweepContext): SweepFinding[] {
  if (!hasTravel(context)) return [];
  return (
    (['signal', 'second-signal'] as const)
      .flatMap((use): SweepFinding[] => {
        const own = channelFor(recording, context, use);
        if (!own) return [];
        const { channel, values } = own;
        const all = jumps(recording, values, dropoutsIn(recording, values));
        const [first, last] = [all[0], all.at(-1)];
        if (!first || !last) return [];
        const position = positionAt(context, use, first.stoodAtVolts);
        return [
          {
            kind: 'jump',
            weight: 'fault',
            sentence: say('sweep.stands-still-and-jumps', {
              name: nameOf(recording, context, channel),
              place: placeSaid(position, context),
              from: fixed(first.fromVolts, 2),
              to: fixed(first.toVolts, 2, 'V'),
              times: all.length,
              clock: clock(first.atSeconds),
            }),
            channel,
            fromSeconds: recording.seconds[first.at - 1]!,
            untilSeconds: last.atSeconds,
            ...(position === undefined ? {} : { position }),
          },
        ];
      })
      // Both tracks sit on one shaft: what one does, the other does.
      .slice(0, 1)
  );
}

/** Whether its sensor is moved through a travel. */
export const hasTravel = ({ profile: { measures } }: SweepContext): boolean =>
  measures === 'position' || measures === 'angle';
