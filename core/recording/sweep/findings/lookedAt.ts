import type { Recording } from '../recording.ts';
import type { ChannelUse, SweepContext, SweepFinding } from './finding.ts';
import { followsSupply } from '../supplyScale.ts';
import { wholeOf } from './words.ts';

interface Look {
  what: string;
  needs: readonly ChannelUse[];
  /** Only where the sensor has that. */
  applies?: (context: SweepContext) => boolean;
}

const hasPair = ({ companion }: SweepContext): boolean => companion?.kind === 'second-track';

/** Every look that an analysis takes, and the channels that it needs. */
const LOOKS: readonly Look[] = [
  { what: 'dropouts, noise and travel of the signal', needs: ['signal'] },
  { what: 'dropouts and noise of the second signal', needs: ['second-signal'], applies: hasPair },
  { what: 'whether the tracks belong together', needs: ['signal', 'second-signal'], applies: hasPair },
  { what: 'whether the reference holds', needs: ['reference'] },
  { what: 'whether live data follows the wire', needs: ['signal', 'live'] },
  { what: 'whether the signal follows the stimulus', needs: ['signal', 'stimulus'] },
  { what: 'whether the signal answers to the revs', needs: ['signal', 'revs'] },
];

const USE_NAMES: Record<ChannelUse, string> = {
  signal: 'signal',
  'second-signal': 'second signal',
  reference: 'reference',
  live: 'live data',
  stimulus: 'stimulus',
  revs: 'engine speed',
  other: 'something else',
};

/** What was looked at and as what, and what was not: without this list nothing may be called free of fault. */
export function lookedAt(recording: Recording, context: SweepContext): SweepFinding {
  const { uses } = context;
  const looks = LOOKS.filter(({ applies }) => applies?.(context) ?? true);
  const taken = looks.filter(({ needs }) => needs.every((use) => uses.includes(use)));
  const missing = looks.filter((look) => !taken.includes(look));
  const channels = recording.channels.flatMap(({ name }, i) => {
    const use = uses[i] ?? 'other';
    return use === 'other' ? [] : [`“${name}” as the ${USE_NAMES[use]}`];
  });
  const unused = recording.channels
    .filter((_, i) => (uses[i] ?? 'other') === 'other')
    .map(({ name }) => `“${name}”`);
  const reads = uses.includes('signal') || uses.includes('second-signal');
  const assumed =
    reads && !uses.includes('reference') && followsSupply(context)
      ? ` No reference was recorded: ${context.profile.nominalReferenceVolts.toFixed(2)} V is assumed.`
      : '';
  const sentence =
    taken.length === 0
      ? 'Nothing was looked at: no channel is known to be the signal. Say what the channels are.'
      : `Looked at: ${taken.map(({ what }) => what).join('; ')} (${channels.join(', ')}).${assumed}${
          missing.length > 0 ? ` Not looked at: ${missing.map(({ what }) => what).join('; ')}.` : ''
        }${unused.length > 0 ? ` Left out: ${unused.slice(0, MOST_NAMED).join(', ')}${unused.length > MOST_NAMED ? `, and ${unused.length - MOST_NAMED} more` : ''}.` : ''}`;
  return {
    kind: taken.length === 0 ? 'not-looked' : 'looked',
    weight: 'note',
    sentence,
    channel: 0,
    ...wholeOf(recording),
  };
}
/** Channels that are nothing known: more are counted. */
const MOST_NAMED = 8;
