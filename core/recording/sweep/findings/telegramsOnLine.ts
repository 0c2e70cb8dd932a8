import {
  fixed,
  list,
  measured,
  plain,
  say,
  verbatim,
  volts,
  type Message,
} from '../../../measure/message/index.ts';
import { RECEIVED_VOLTS } from '../../../machine/limits/index.ts';
import {
  fastChannelsOf,
  fastValues,
  lineEdges,
  TELEGRAM_FAULTS,
  telegramsIn,
  valueOfStep,
  type LineEdges,
  type Telegrams,
} from '../../telegram/index.ts';
import { sampleRate, type Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { indexOf, wholeOf } from './words.ts';

/** Slower than this no pulse of any sender is seen: a slow logger is asked nothing about telegrams. */
const LEAST_SAMPLES_PER_SECOND = 20_000;
/** Fewer edges are no line that toggles. */
const FEWEST_EDGES = 30;
/** A pulse of twelve ticks needs about two samples a tick. */
const FEWEST_SAMPLES_A_PULSE = 24;
/** A capture of telegrams is a glimpse; who records longer looks at a voltage. */
const SHORT_CAPTURE_SECONDS = 1;
/** On average a pulse of the usual senders is far shorter. */
const SLOWEST_PULSE_SECONDS = 1e-3;
/** Periods that differ by less are those of a steady frequency. */
const STEADY_SHARE = 0.02;

type Toggling = Extract<LineEdges, { found: 'edges' }>;

/**
 * What a fast capture shows of a line that goes to and fro; undefined for a slow recording, and for a voltage that means what
 * it is.
 */
export function telegramsOnLine(recording: Recording, context: SweepContext): SweepFinding[] | undefined {
  const channel = indexOf(context, 'signal');
  const found = recording.channels[channel];
  if (!found || !isFast(recording, found.values)) return undefined;
  const line = lineEdges(recording.seconds, found.values);
  const note = (kind: SweepFinding['kind'], sentence: Message): SweepFinding => ({
    kind,
    weight: 'note',
    sentence,
    channel,
    ...wholeOf(recording),
  });
  const name = say('sweep.named', { name: verbatim(found.name) });
  const looked = note('looked', say('sweep.looked-for-telegrams', { name }));
  if (line.found === 'held') {
    // Beside other channels, or over seconds, it is a voltage that stands: noise and reference are worth a look.
    const isAlone = context.uses.every((use, i) => i === channel || use === 'other');
    if (!isAlone || spanOf(recording) >= SHORT_CAPTURE_SECONDS) return undefined;
    return [
      note('line-held', say('sweep.line-held', { name, volts: volts((line.lowVolts + line.highVolts) / 2) })),
      looked,
    ];
  }
  if (line.falling.length < FEWEST_EDGES) return undefined;
  const telegrams = telegramsIn(line.falling);
  // A contact that opens and closes toggles as well, far slower and at no steady rate: its dropouts are looked for.
  if (!telegrams && !isSteady(line) && meanPeriod(line) > SLOWEST_PULSE_SECONDS) return undefined;
  const telling = telegrams
    ? [
        ...lost(telegrams, name, channel, recording),
        ...levels(line, name, channel, recording),
        note('telegrams', arrived(telegrams, line, name)),
        ...values(telegrams, context).map((sentence) => note('telegrams', sentence)),
      ]
    : [note('telegrams-unread', unread(line, name))];
  return [...telling, looked];
}

/** A capture of changes alone has fewer samples a second than it could have told apart. */
const isFast = (recording: Recording, values: Float64Array): boolean =>
  sampleRate(recording) >= LEAST_SAMPLES_PER_SECOND ||
  (values.length >= 2 * FEWEST_EDGES && new Set(values.subarray(0, 4 * FEWEST_EDGES)).size === 2);

function arrived(
  { layout, status, tickSeconds, lost: by }: Telegrams,
  line: Toggling,
  name: Message,
): Message {
  return say('sweep.telegrams-arrive', {
    name,
    frames: status.length,
    nibbles: layout.nibbles,
    tick: fixed(tickSeconds * 1e6, 2, 'µs'),
    hasPause: layout.hasPause,
    isLegacy: layout.checksum === 'legacy',
    lost: TELEGRAM_FAULTS.reduce((sum, kind) => sum + by[kind], 0),
    isInverted: line.isInverted,
  });
}

function lost(
  { lost: by, lostAtSeconds, status }: Telegrams,
  name: Message,
  channel: number,
  recording: Recording,
): SweepFinding[] {
  const all = TELEGRAM_FAULTS.reduce((sum, kind) => sum + by[kind], 0);
  const [first, last] = [lostAtSeconds[0], lostAtSeconds.at(-1)];
  if (all === 0 || first === undefined || last === undefined) return [];
  const kinds = TELEGRAM_FAULTS.filter((kind) => by[kind] > 0).map((kind) =>
    say(`sweep.lost-${kind}`, { count: by[kind] }),
  );
  return [
    {
      kind: 'telegrams-lost',
      weight: 'fault',
      sentence: say('sweep.telegrams-lost', {
        name,
        lost: all,
        all: all + status.length,
        kinds: list(kinds),
        first: fixed(1000 * first, 2, 'ms'),
      }),
      channel,
      fromSeconds: first,
      untilSeconds: all > lostAtSeconds.length ? (recording.seconds.at(-1) ?? last) : last,
    },
  ];
}

/** Telegrams that this capture can read, and a receiver may not. */
function levels(
  { lowVolts, highVolts, isLogic }: Toggling,
  name: Message,
  channel: number,
  recording: Recording,
): SweepFinding[] {
  if (isLogic) return [];
  if (lowVolts <= RECEIVED_VOLTS.downBelow && highVolts >= RECEIVED_VOLTS.upAbove) return [];
  return [
    {
      kind: 'telegrams-lost',
      weight: 'fault',
      sentence: say('sweep.line-does-not-reach', {
        name,
        low: volts(lowVolts),
        high: volts(highVolts),
        down: volts(RECEIVED_VOLTS.downBelow),
        up: volts(RECEIVED_VOLTS.upAbove),
      }),
      channel,
      ...wholeOf(recording),
    },
  ];
}

/** The last value of each twelve bits, as steps; the first one also by the ends of range that the standard gives to pressures. */
function values(telegrams: Telegrams, { profile }: SweepContext): Message[] {
  return fastChannelsOf(telegrams).map((channel) => {
    const step = fastValues(telegrams, channel).at(-1) ?? NaN;
    const value = valueOfStep(step, profile);
    return channel === 1 && Number.isFinite(value)
      ? say('sweep.telegram-value', {
          step: plain(step),
          value: measured(value, profile.measures, 'with-basis'),
        })
      : say('sweep.telegram-step', { channel, step: plain(step) });
  });
}

const spanOf = ({ seconds }: Recording): number => (seconds.at(-1) ?? 0) - (seconds[0] ?? 0);
const meanPeriod = ({ falling }: Toggling): number => (falling.at(-1)! - falling[0]!) / (falling.length - 1);
const periodsOf = ({ falling }: Toggling): Float64Array =>
  Float64Array.from({ length: falling.length - 1 }, (_, i) => falling[i + 1]! - falling[i]!);
const isSteady = (line: Toggling): boolean =>
  periodsOf(line).every((period) => Math.abs(period / meanPeriod(line) - 1) < STEADY_SHARE);

function unread(line: Toggling, name: Message): Message {
  const { sampleSeconds, upShare } = line;
  const mean = meanPeriod(line);
  const shortest = periodsOf(line).reduce((least, period) => Math.min(least, period), Infinity);
  if (isSteady(line))
    return say('sweep.line-is-steady', {
      name,
      frequency: fixed(1 / mean, 1, 'Hz'),
      duty: fixed(100 * upShare, 1, '%'),
    });
  if (sampleSeconds > 0 && shortest < FEWEST_SAMPLES_A_PULSE * sampleSeconds)
    return say('sweep.capture-too-slow', {
      name,
      sample: fixed(sampleSeconds * 1e6, 2, 'µs'),
    });
  return say('sweep.telegrams-garbled', { name, rate: plain(Math.round(1 / mean)) });
}
