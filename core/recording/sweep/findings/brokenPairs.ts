import { fixed, say } from '../../../measure/message/index.ts';
import { pairLimitPercent } from '../../../measure/companion/index.ts';
import { dropoutsIn } from './dropoutsIn.ts';
import { pairOverSweep } from '../pairOverSweep.ts';
import { atNominal } from '../supplyScale.ts';
import type { Recording } from '../recording.ts';
import { MOST_OF_A_KIND, type SweepContext, type SweepFinding } from './finding.ts';
import { andMore, clock, indexOf, placeSaid, positionAt } from './words.ts';

/** Where two tracks do not belong together, by stretches of time. */
export function brokenPairs(recording: Recording, context: SweepContext): SweepFinding[] {
  const { companion, profile } = context;
  const [one, two] = [indexOf(context, 'signal'), indexOf(context, 'second-signal')];
  const [first, second] = [recording.channels[one]?.values, recording.channels[two]?.values];
  if (companion?.kind !== 'second-track' || !first || !second) return [];
  // Where one track drops out the pair is broken as well: that is told once.
  const lost = [first, second].flatMap((track) => dropoutsIn(recording, track));
  const [own, other] = [first, second].map((track) => atNominal(recording, context, track)) as [
    Float64Array,
    Float64Array,
  ];
  const { outside } = pairOverSweep(own, other, profile.nominalReferenceVolts, companion.pair, {
    limitPercentOfReference: pairLimitPercent(companion),
  });
  const parted = outside.filter((one) => !lost.some(({ from, to }) => one.from <= to && one.to >= from - 1));
  const shown = parted
    .slice(0, MOST_OF_A_KIND)
    .map(({ from, to, worstPercentOfReference, worstAt }): SweepFinding => {
      const position = positionAt(context, 'signal', own[worstAt]!);
      return {
        kind: 'pair',
        weight: 'fault',
        sentence: say('sweep.tracks-do-not-belong-together', {
          place: placeSaid(position, context),
          percent: fixed(Math.abs(worstPercentOfReference), 1, '%'),
          clock: clock(recording.seconds[worstAt]!),
        }),
        channel: two,
        fromSeconds: recording.seconds[from]!,
        untilSeconds: recording.seconds[to]!,
        ...(position === undefined ? {} : { position }),
      };
    });
  return [
    ...shown,
    ...andMore('pair', parted.length, shown.length, say('sweep.tracks-part'), two, parted, recording),
  ];
}
