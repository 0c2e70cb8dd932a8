import { fixed, say, volts } from '../../../measure/message/index.ts';
import { pairLimitPercent } from '../../../measure/companion/index.ts';
import { dropoutsIn } from './dropoutsIn.ts';
import { pairOverSweep } from '../pairOverSweep.ts';
import { atNominal } from '../supplyScale.ts';
import type { Recording } from '../recording.ts';
import { MOST_OF_A_KIND, type SweepContext, type SweepFinding } from './finding.ts';
import { andMore, clock, indexOf, lasting, placeSaid, positionAt } from './words.ts';

/** A track that stands moves by no more than this, and one that moves by so much more. */
const STANDS_VOLTS = 0.04;
const MOVES_VOLTS = 0.4;
/** Fewer samples are no stretch to say anything of. */
const FEWEST_SAMPLES = 8;

const rangeOf = (track: Float64Array, from: number, to: number): readonly [low: number, high: number] => {
  let [low, high] = [Infinity, -Infinity];
  for (let i = from; i <= to; i++) {
    // A gap is below and above nothing.
    if (track[i]! < low) low = track[i]!;
    if (track[i]! > high) high = track[i]!;
  }
  return [low, high];
};

/** Of two tracks the one that does not follow the other, as a sentence has it. */
function standing(first: Float64Array, second: Float64Array, from: number, to: number) {
  if (to - from < FEWEST_SAMPLES) return undefined;
  const ranges = [first, second].map((track) => rangeOf(track, from, to));
  const still = ranges.findIndex(([low, high]) => high - low <= STANDS_VOLTS);
  const [low, high] = ranges[1 - still] ?? [0, 0];
  if (still < 0 || high - low < MOVES_VOLTS) return undefined;
  const [rest, top] = ranges[still]!;
  return {
    number: still + 1,
    volts: volts((rest + top) / 2),
    other: 2 - still,
    low: volts(low),
    high: volts(high),
  };
}

/** Where they should differ. */
function showTheSame(first: Float64Array, second: Float64Array, from: number, to: number): boolean {
  if (to - from < FEWEST_SAMPLES) return false;
  for (let i = from; i <= to; i++) if (Math.abs(first[i]! - second[i]!) > STANDS_VOLTS) return false;
  return true;
}

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
      const percent = fixed(Math.abs(worstPercentOfReference), 1, '%');
      const at = recording.seconds[from]!;
      const when = { clock: clock(at), lasting: lasting(recording.seconds[to]! - at) };
      const stands = standing(first, second, from, to);
      return {
        kind: 'pair',
        weight: 'fault',
        sentence: stands
          ? say('sweep.track-stands-while-other-moves', { ...stands, ...when })
          : showTheSame(first, second, from, to)
            ? say('sweep.tracks-show-the-same', { ...when, percent })
            : say('sweep.tracks-do-not-belong-together', {
                place: placeSaid(position, context),
                percent,
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
