import { formatWithBasis } from '../../../measure/quantity/index.ts';
import { lagBetween } from '../lag.ts';
import type { Recording } from '../recording.ts';
import { stuckAgainst } from '../standsStill.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { indexOf, lasting } from './words.ts';

const LATE_SECONDS = 0.5;
const STUCK_SECONDS = 2;
const LONGEST_LAG_SECONDS = 3;

export function liveAgainstWire(recording: Recording, context: SweepContext): SweepFinding[] {
  const [live, wire] = [indexOf(context, 'live'), indexOf(context, 'signal')];
  const [shown, volts] = [recording.channels[live]?.values, recording.channels[wire]?.values];
  if (!shown || !volts) return [];
  const { seconds } = recording;
  const stuck = stuckAgainst(seconds, shown, volts, { leastMove: 0.3, leastSeconds: STUCK_SECONDS }).map(
    ({ from, to, value, otherMoved }): SweepFinding => ({
      kind: 'stuck',
      weight: 'fault',
      sentence: `Live data stands at ${formatWithBasis(value, context.profile.measures, context.pressureUnit)} for ${lasting(seconds[to]! - seconds[from]!)} while the wire moves by ${otherMoved.toFixed(2)} V: stuck or substituted.`,
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
          sentence: `Live data follows the wire ${lag.seconds.toFixed(1)} s late.`,
          channel: live,
          fromSeconds: seconds[0] ?? 0,
          untilSeconds: seconds.at(-1) ?? 0,
        },
      ]
    : stuck;
}
