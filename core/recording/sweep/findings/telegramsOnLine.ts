import { fixed, list, say, verbatim, volts, type Message } from '../../../measure/message/index.ts';
import { lineEdges, TELEGRAM_FAULTS, telegramsIn, type Telegrams } from '../../telegram/index.ts';
import { isSent } from '../../../measure/transfer/index.ts';
import { sampleRate, type Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { indexOf, wholeOf } from './words.ts';
import { spanOf, isSteady, meanPeriod, levels, values, unread, type Toggling } from './lineLevelsSaid.ts';

/** Slower than this no pulse of any sender is seen: a slow logger is asked nothing about telegrams. */
const LEAST_SAMPLES_PER_SECOND = 20_000;
/** Fewer edges are no line that toggles. */
const FEWEST_EDGES = 30;
/** A capture of telegrams is a glimpse; who records longer looks at a voltage. */
const SHORT_CAPTURE_SECONDS = 1;
/** On average a pulse of the usual senders is far shorter. */
const SLOWEST_PULSE_SECONDS = 1e-3;

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
  if (!telegrams && !isSteady(line) && meanPeriod(line) > SLOWEST_PULSE_SECONDS && !isSent(context.profile))
    return undefined;
  const telling = telegrams
    ? [
        ...lost(telegrams, name, channel, recording),
        ...levels(line, name, channel, recording),
        note('telegrams', arrived(telegrams, line, name)),
        ...values(telegrams, context).map((sentence) => note('telegrams', sentence)),
      ]
    : unread(line, name, context.profile).map(({ kind, sentence }) => note(kind, sentence));
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
