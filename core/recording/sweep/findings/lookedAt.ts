import { fixed, list, say, verbatim, type Message } from '../../../measure/message/index.ts';
import type { Recording } from '../recording.ts';
import type { ChannelUse, SweepContext, SweepFinding } from './finding.ts';
import { followsSupply } from '../supplyScale.ts';
import { hasTravel } from './jumpsOnItsWay.ts';
import { wholeOf } from './words.ts';

interface Look {
  what: Message;
  needs: readonly ChannelUse[];
  /** Only where the sensor has that. */
  applies?: (context: SweepContext) => boolean;
}

const hasPair = ({ companion }: SweepContext): boolean => companion?.kind === 'second-track';

/** Every look that an analysis takes, and the channels that it needs. */
const LOOKS: readonly Look[] = [
  { what: say('sweep.dropouts-noise-travel-signal'), needs: ['signal'] },
  { what: say('sweep.whether-it-jumps'), needs: ['signal'], applies: hasTravel },
  { what: say('sweep.dropouts-noise-second-signal'), needs: ['second-signal'], applies: hasPair },
  { what: say('sweep.whether-tracks-belong-together'), needs: ['signal', 'second-signal'], applies: hasPair },
  { what: say('sweep.whether-reference-holds'), needs: ['reference'] },
  { what: say('sweep.whether-live-data-follows-wire'), needs: ['signal', 'live'] },
  {
    what: say('sweep.whether-live-data-stands'),
    needs: ['live'],
    applies: ({ uses }) => uses.includes('live') && !uses.includes('signal'),
  },
  { what: say('sweep.whether-signal-follows-stimulus'), needs: ['signal', 'stimulus'] },
  { what: say('sweep.whether-signal-answers-revs'), needs: ['signal', 'revs'] },
];

/** What a channel is used as, by name. */
const useSaid = (use: ChannelUse): Message => say(`use.${use}`);

/** What was looked at and as what, and what was not: without this list nothing may be called free of fault. */
export function lookedAt(recording: Recording, context: SweepContext): SweepFinding {
  const { uses } = context;
  const looks = LOOKS.filter(({ applies }) => applies?.(context) ?? true);
  const taken = looks.filter(({ needs }) => needs.every((use) => uses.includes(use)));
  const missing = looks.filter((look) => !taken.includes(look));
  const channels = recording.channels.flatMap(({ name }, i) => {
    const use = uses[i] ?? 'other';
    return use === 'other' ? [] : [say('sweep.used-as', { name: verbatim(name), use: useSaid(use) })];
  });
  const unused = recording.channels
    .filter((_, i) => (uses[i] ?? 'other') === 'other')
    .map(({ name }) => say('sweep.named', { name: verbatim(name) }));
  const reads = uses.includes('signal') || uses.includes('second-signal');
  const assumed =
    reads && !uses.includes('reference') && followsSupply(context)
      ? [
          say('sweep.no-reference-recorded-assumed', {
            volts: fixed(context.profile.nominalReferenceVolts, 2, 'V'),
          }),
        ]
      : [];
  const sentence =
    taken.length === 0
      ? say('sweep.nothing-looked-no-channel-known')
      : say('sweep.looked-at', {
          looks: looksSaid(taken),
          channels: list(channels),
          more: list(
            [
              ...assumed,
              ...(missing.length > 0 ? [say('sweep.not-looked-at', { looks: looksSaid(missing) })] : []),
              ...(unused.length > 0
                ? [
                    say('sweep.channels-left-out', {
                      names: list(unused.slice(0, MOST_NAMED)),
                      more: Math.max(0, unused.length - MOST_NAMED),
                    }),
                  ]
                : []),
            ],
            'sentences',
          ),
        });
  return {
    kind: taken.length === 0 ? 'not-looked' : 'looked',
    weight: 'note',
    sentence,
    channel: 0,
    ...wholeOf(recording),
  };
}
const looksSaid = (looks: readonly Look[]) =>
  list(
    looks.map(({ what }) => what),
    'semicolons',
  );
/** Channels that are nothing known: more are counted. */
const MOST_NAMED = 8;
