import type { Companion } from '../companion/index.ts';
import { pairDeviation } from '../positionPair/index.ts';
import { formatWithBasis, type PressureUnit } from '../quantity/index.ts';
import { toleranceAt, valueFromSignal, type SensorProfile } from '../transfer/index.ts';
import { dropouts } from './dropouts.ts';
import { lagBetween } from './lag.ts';
import { noiseOf } from './noise.ts';
import { pairOverSweep } from './pairOverSweep.ts';
import { sampleRate, type Recording } from './recording.ts';
import { stuckAgainst } from './standsStill.ts';
import { sweepFigures } from './figures.ts';
import { strokesOf } from './strokes.ts';

export const CHANNEL_USES = ['signal', 'second-signal', 'reference', 'live', 'stimulus', 'other'] as const;
export type ChannelUse = (typeof CHANNEL_USES)[number];

export interface SweepContext {
  profile: SensorProfile;
  companion?: Companion | undefined;
  /** What each channel of the recording is, in its order. */
  uses: readonly ChannelUse[];
  /** For the sentences only. */
  pressureUnit: PressureUnit;
}

export const SWEEP_FINDINGS = [
  'dropout',
  'pair',
  'stuck',
  'reference',
  'lag',
  'noise',
  'travel',
  'figures',
  'import',
] as const;

/** What a recording shows: a sentence, and the place in the plot. */
export interface SweepFinding {
  kind: (typeof SWEEP_FINDINGS)[number];
  /** A fault calls for looking; a note is worth knowing. */
  weight: 'fault' | 'note';
  sentence: string;
  channel: number;
  fromSeconds: number;
  untilSeconds: number;
  /** In the sensor's unit, where the finding has a place in its travel. */
  position?: number | undefined;
}

/** A fault that shows at every pass is told once, with its first place in time. */
const MOST_OF_A_KIND = 12;
const REFERENCE_TOLERANCE_VOLTS = 0.1;
const LATE_SECONDS = 0.5;
const NOISY_VOLTS = 0.02;
const STUCK_SECONDS = 2;
const LONGEST_LAG_SECONDS = 3;

/** Everything that a recording says about a sensor, faults first, then in time. */
export function analyseSweep(recording: Recording, context: SweepContext): SweepFinding[] {
  const found = [
    ...lostSignals(recording, context),
    ...brokenPairs(recording, context),
    ...wrongReference(recording, context),
    ...liveAgainstWire(recording, context),
    ...noisySignals(recording, context),
    ...travelOf(recording, context),
    ...figuresOf(recording, context),
  ];
  const rank = ({ weight }: SweepFinding) => (weight === 'fault' ? 0 : 1);
  return found.sort((a, b) => rank(a) - rank(b) || a.fromSeconds - b.fromSeconds);
}

const TRACK_WORDS: Partial<Record<ChannelUse, string>> = { signal: 'Track 1', 'second-signal': 'Track 2' };

function nameOf({ channels }: Recording, { uses, companion }: SweepContext, channel: number): string {
  const use = uses[channel];
  if (use && companion?.kind === 'second-track' && TRACK_WORDS[use]) return TRACK_WORDS[use];
  return use === 'signal' ? 'The signal' : (channels[channel]?.name ?? '');
}

const indexOf = ({ uses }: SweepContext, use: ChannelUse): number => uses.indexOf(use);

/** Where the sensor stood, from the volts of one of its tracks. */
function positionAt(context: SweepContext, use: ChannelUse, volts: number): number | undefined {
  const { profile, companion } = context;
  const reference = profile.nominalReferenceVolts;
  const pair = use === 'second-signal' && companion?.kind === 'second-track' ? companion.pair : undefined;
  if (use === 'second-signal' && !pair) return undefined;
  const signalVolts = pair ? firstFromSecond(volts, reference, pair) : volts;
  const value = valueFromSignal({ signalVolts, referenceVolts: reference, returnVolts: 0 }, profile);
  return value.ok ? value.value.value : undefined;
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

const placeWords = (position: number | undefined, { profile, pressureUnit }: SweepContext): string =>
  position === undefined ? '' : ` at ${formatWithBasis(position, profile.measures, pressureUnit)}`;
const clock = (seconds: number): string => `${seconds.toFixed(seconds < 100 ? 2 : 1)} s`;
const lasting = (seconds: number): string =>
  seconds < 1 ? `${Math.max(1, Math.round(1000 * seconds))} ms` : `${seconds.toFixed(1)} s`;

function lostSignals(recording: Recording, context: SweepContext): SweepFinding[] {
  return (['signal', 'second-signal'] as const).flatMap((use) => {
    const channel = indexOf(context, use);
    const values = recording.channels[channel]?.values;
    if (!values) return [];
    const all = dropouts(recording, values);
    const shown = all
      .slice(0, MOST_OF_A_KIND)
      .map(({ fromSeconds, untilSeconds, courseValue, farthestValue }): SweepFinding => {
        const position = positionAt(context, use, courseValue);
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
    const more = all.length - shown.length;
    const last = all.at(-1);
    return more > 0 && last
      ? [
          ...shown,
          {
            kind: 'dropout',
            weight: 'fault',
            sentence: `${nameOf(recording, context, channel)} drops out ${more} times more.`,
            channel,
            fromSeconds: all[MOST_OF_A_KIND]!.fromSeconds,
            untilSeconds: last.untilSeconds,
          } satisfies SweepFinding,
        ]
      : shown;
  });
}

function brokenPairs(recording: Recording, context: SweepContext): SweepFinding[] {
  const { companion, profile } = context;
  const [one, two] = [indexOf(context, 'signal'), indexOf(context, 'second-signal')];
  const [first, second] = [recording.channels[one]?.values, recording.channels[two]?.values];
  if (companion?.kind !== 'second-track' || !first || !second) return [];
  // Where one track drops out the pair is broken as well: that is told once.
  const lost = [first, second].flatMap((track) => dropouts(recording, track));
  const { outside } = pairOverSweep(first, second, profile.nominalReferenceVolts, companion.pair);
  const parted = outside.filter((one) => !lost.some(({ from, to }) => one.from <= to && one.to >= from - 1));
  return parted
    .slice(0, MOST_OF_A_KIND)
    .map(({ from, to, worstPercentOfReference, worstAt }): SweepFinding => {
      const position = positionAt(context, 'signal', first[worstAt]!);
      return {
        kind: 'pair',
        weight: 'fault',
        sentence: `The tracks do not belong together${placeWords(position, context)}: ${Math.abs(worstPercentOfReference).toFixed(1)} % of the reference apart, ${clock(recording.seconds[worstAt]!)} into the recording.`,
        channel: two,
        fromSeconds: recording.seconds[from]!,
        untilSeconds: recording.seconds[to]!,
        ...(position === undefined ? {} : { position }),
      };
    });
}

function wrongReference(recording: Recording, context: SweepContext): SweepFinding[] {
  const channel = indexOf(context, 'reference');
  const values = recording.channels[channel]?.values;
  if (!values) return [];
  const { nominalReferenceVolts } = context.profile;
  let worst = -1;
  let off = REFERENCE_TOLERANCE_VOLTS + 5 * noiseOf(values);
  for (let i = 0; i < values.length; i++) {
    const distance = Math.abs(values[i]! - nominalReferenceVolts);
    if (distance > off) [worst, off] = [i, distance];
  }
  const at = recording.seconds[worst];
  return at === undefined
    ? []
    : [
        {
          kind: 'reference',
          weight: 'fault',
          sentence: `The reference does not hold: ${values[worst]!.toFixed(2)} V, ${clock(at)} into the recording.`,
          channel,
          fromSeconds: at,
          untilSeconds: at,
        },
      ];
}

function liveAgainstWire(recording: Recording, context: SweepContext): SweepFinding[] {
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

function noisySignals(recording: Recording, context: SweepContext): SweepFinding[] {
  return (['signal', 'second-signal'] as const).flatMap((use): SweepFinding[] => {
    const channel = indexOf(context, use);
    const values = recording.channels[channel]?.values;
    const noise = values ? noiseOf(values) : 0;
    return noise < NOISY_VOLTS
      ? []
      : [
          {
            kind: 'noise',
            weight: 'note',
            sentence: `${nameOf(recording, context, channel)} is noisy: ${Math.round(1000 * noise)} mV from sample to sample.`,
            channel,
            fromSeconds: recording.seconds[0] ?? 0,
            untilSeconds: recording.seconds.at(-1) ?? 0,
          },
        ];
  });
}

/** How far it was moved: a sweep that never saw the whole travel proves only the part that it saw. */
function travelOf(recording: Recording, context: SweepContext): SweepFinding[] {
  const channel = indexOf(context, 'signal');
  const values = recording.channels[channel]?.values;
  if (!values) return [];
  // A dropout is no travel.
  const travel = values.slice();
  for (const { from, to } of dropouts(recording, values)) travel.fill(NaN, from, to);
  const strokes = strokesOf(travel);
  const { profile, pressureUnit } = context;
  const ends = strokes.flatMap(({ from, to }) => [values[from]!, values[to]!]);
  const positions = ends
    .map((volts) => positionAt(context, 'signal', volts))
    .filter((value) => value !== undefined);
  const whole = { fromSeconds: recording.seconds[0] ?? 0, untilSeconds: recording.seconds.at(-1) ?? 0 };
  if (positions.length === 0)
    return [
      {
        kind: 'travel',
        weight: 'note',
        sentence: 'Nothing was moved in this recording: it proves no travel.',
        channel,
        ...whole,
      },
    ];
  const [low, high] = [Math.min(...positions), Math.max(...positions)].map((value) =>
    formatWithBasis(
      Math.min(profile.highest, Math.max(profile.lowest, value)),
      profile.measures,
      pressureUnit,
    ),
  );
  const rate = sampleRate(recording);
  return [
    {
      kind: 'travel',
      weight: 'note',
      sentence: `Moved ${strokes.length} ${strokes.length === 1 ? 'time' : 'times'}, from ${low} to ${high}, at ${rate < 10 ? rate.toFixed(1) : Math.round(rate)} samples a second. What is shorter than ${lasting(1 / rate)}, or outside this travel, was not seen.`,
      channel,
      ...whole,
    },
  ];
}

/** Against a stimulus that was recorded beside it: the figures of a sweep, in the terms of IEC 61298-2. */
function figuresOf(recording: Recording, context: SweepContext): SweepFinding[] {
  const { profile } = context;
  const [channel, along] = [indexOf(context, 'signal'), indexOf(context, 'stimulus')];
  const [volts, stimulus] = [recording.channels[channel]?.values, recording.channels[along]?.values];
  if (!volts || !stimulus) return [];
  const output = volts.map((signalVolts) => {
    const wires = { signalVolts, referenceVolts: profile.nominalReferenceVolts, returnVolts: 0 };
    const value = valueFromSignal(wires, profile);
    return value.ok ? value.value.value : NaN;
  });
  const figures = sweepFigures(stimulus, output, (value) => value);
  if (!figures) return [];
  const middle = (profile.lowest + profile.highest) / 2;
  const swept =
    stimulus.reduce((a, b) => Math.max(a, b), -Infinity) -
    stimulus.reduce((a, b) => Math.min(a, b), Infinity);
  const allowedPercent = (100 * toleranceAt(middle, profile)) / swept;
  const wrong = figures.inaccuracyPercent > allowedPercent;
  const percent = (value: number) => `${value.toFixed(2)} %`;
  return [
    {
      kind: 'figures',
      weight: wrong ? 'fault' : 'note',
      sentence: `Against the stimulus, of the span swept: inaccuracy ${percent(figures.inaccuracyPercent)} (the sensor is allowed ${percent(allowedPercent)}), hysteresis ${percent(figures.hysteresisPercent)}, non-linearity ${percent(figures.terminalNonLinearityPercent)} by its ends and ${percent(figures.independentNonLinearityPercent)} at best${figures.repeatabilityPercent === undefined ? '' : `, repeatability ${percent(figures.repeatabilityPercent)}`}; ${figures.strokesUp} strokes up, ${figures.strokesDown} down.`,
      channel,
      fromSeconds: recording.seconds[0] ?? 0,
      untilSeconds: recording.seconds.at(-1) ?? 0,
    },
  ];
}
