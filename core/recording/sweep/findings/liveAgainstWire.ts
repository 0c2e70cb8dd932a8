import { fixed, measured, say } from '../../../measure/message/index.ts';
import { lagBetween } from '../lag.ts';
import type { Recording } from '../recording.ts';
import { stuckAgainst } from '../standsStill.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { indexOf, lasting } from './words.ts';

const LATE_SECONDS = 0.5;
const STUCK_SECONDS = 2;
const LONGEST_LAG_SECONDS = 3;

/** Live data beside the wire that it is made of: standing while the wire moves, or late. */
export function liveAgainstWire(recording: Recording, context: SweepContext): SweepFinding[] {
  const [live, wire] = [indexOf(context, 'live'), indexOf(context, 'signal')];
  const [shown, volts] = [recording.channels[live]?.values, recording.channels[wire]?.values];
  if (!shown || !volts) return [];
  const { seconds } = recording;
  const stuck = stuckAgainst(seconds, shown, volts, { leastMove: 0.3, leastSeconds: STUCK_SECONDS }).map(
    ({ from, to, value, otherMoved }): SweepFinding => ({
      kind: 'stuck',
      weight: 'fault',
      sentence: say('sweep.live-data-stands-while-wire', {
        value: measured(value, context.profile.measures, 'with-basis'),
        lasting: lasting(seconds[to]! - seconds[from]!),
        otherMoved: fixed(otherMoved, 2, 'V'),
      }),
      channel: live,
      fromSeconds: seconds[from]!,
      untilSeconds: seconds[to]!,
    }),
  );
  const lag = lagBetween(seconds, volts, shown, LONGEST_LAG_SECONDS);
  return lag && lag.seconds > LATE_SECONDS
    ? [
        ...stuck,
        {
          kind: 'lag',
          weight: 'note',
          sentence: say('sweep.live-data-follows-wire-late', { seconds: fixed(lag.seconds, 1, 's') }),
          channel: live,
          fromSeconds: seconds[0] ?? 0,
          untilSeconds: seconds.at(-1) ?? 0,
        },
      ]
    : stuck;
}
