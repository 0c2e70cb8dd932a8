import {
  fixed,
  measured,
  NOTHING_TO_SAY,
  say,
  verbatim,
  type Message,
  type MessageList,
  type Quantity,
} from '../../../measure/message/index.ts';
import { pairDeviation } from '../../../measure/positionPair/index.ts';
import { valueAtNominal } from '../../../measure/transfer/index.ts';
import type { Recording } from '../recording.ts';
import type { ChannelUse, SweepContext, SweepFinding } from './finding.ts';

/** What a sentence calls a channel at its beginning. */
export function nameOf({ channels }: Recording, { uses, companion }: SweepContext, channel: number): Message {
  const use = uses[channel];
  if (companion?.kind === 'second-track' && (use === 'signal' || use === 'second-signal'))
    return say('sweep.track', { number: use === 'signal' ? 1 : 2 });
  return use === 'signal'
    ? say('sweep.the-signal')
    : say('sweep.channel', { name: verbatim(channels[channel]?.name ?? '') });
}

/** The channel of a use; −1 where none is. */
export const indexOf = ({ uses }: SweepContext, use: ChannelUse): number => uses.indexOf(use);

/** Where the sensor stood, from the volts of one of its tracks. */
export function positionAt(context: SweepContext, use: ChannelUse, volts: number): number | undefined {
  const { profile, companion } = context;
  if (use !== 'second-signal') return valueAtNominal(volts, profile);
  return companion?.kind === 'second-track'
    ? valueAtNominal(firstFromSecond(volts, profile.nominalReferenceVolts, companion.pair), profile)
    : undefined;
}

/** The pair law is linear: two of its points give it the other way round. */
function firstFromSecond(
  secondVolts: number,
  reference: number,
  pair: Parameters<typeof pairDeviation>[3],
): number {
  const [atZero, atOne] = [0, 1].map(
    (first) => pairDeviation(first, 0, reference, pair).expectedSecondVolts,
  ) as [number, number];
  return (secondVolts - atZero) / (atOne - atZero);
}

/** Where in its travel, to stand behind a verb; nothing where that is not known. */
export const placeSaid = (position: number | undefined, { profile }: SweepContext): Message | MessageList =>
  position === undefined
    ? NOTHING_TO_SAY
    : say('sweep.at', { position: measured(position, profile.measures, 'with-basis') });
/** A moment, and how long something lasted. */
export const clock = (seconds: number): Quantity => fixed(seconds, seconds < 100 ? 2 : 1, 's');
/** A time, in ms where it is short. */
export const lasting = (seconds: number): Quantity =>
  seconds < 1 ? fixed(Math.max(1, Math.round(1000 * seconds)), 0, 'ms') : fixed(seconds, 1, 's');

/** The whole of a recording, for what is true of all of it. */
export const wholeOf = ({ seconds }: Recording): { fromSeconds: number; untilSeconds: number } => ({
  fromSeconds: seconds[0] ?? 0,
  untilSeconds: seconds.at(-1) ?? 0,
});

/** The values of the channel that is used so, and its number; undefined where there is none. */
export function channelFor(
  { channels }: Recording,
  context: SweepContext,
  use: ChannelUse,
): { channel: number; values: Float64Array } | undefined {
  const channel = indexOf(context, use);
  const values = channels[channel]?.values;
  return values && { channel, values };
}

/** The count is the whole count: what is not shown one by one is told with all of them. */
export function andMore(
  kind: SweepFinding['kind'],
  all: number,
  shown: number,
  what: Message,
  channel: number,
  stretches: readonly { from: number; to: number }[],
  { seconds }: Recording,
): SweepFinding[] {
  const [first, last] = [stretches[shown], stretches.at(-1)];
  if (all <= shown || !first || !last) return [];
  return [
    {
      kind,
      weight: kind === 'gap' ? 'note' : 'fault',
      sentence: say('sweep.times-all-first-shown-one', { what, all, shown }),
      channel,
      fromSeconds: seconds[first.from]!,
      untilSeconds: seconds[last.to]!,
    },
  ];
}
