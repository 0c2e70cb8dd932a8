import {
  fixed,
  measured,
  NOTHING_TO_SAY,
  plain,
  say,
  volts,
  type Message,
} from '../../../measure/message/index.ts';
import { RECEIVED_VOLTS } from '../../../machine/limits/index.ts';
import {
  sendsPulses,
  sendsTelegrams,
  valueOfPulses,
  type SensorProfile,
} from '../../../measure/transfer/index.ts';
import {
  fastChannelsOf,
  fastValues,
  valueOfStep,
  type LineEdges,
  type Telegrams,
} from '../../telegram/index.ts';
import { type Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { wholeOf } from './words.ts';

/** A pulse of twelve ticks needs about two samples a tick. */
export const FEWEST_SAMPLES_A_PULSE = 24;
/** Periods that differ by less are those of a steady frequency. */
const STEADY_SHARE = 0.02;

export type Toggling = Extract<LineEdges, { found: 'edges' }>;

/** Telegrams that this capture can read, and a receiver may not. */
export function levels(
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

/** The last value of each twelve bits, as steps; the first one also by the profile, or by the ends of range that the standard gives to pressures. */
export function values(telegrams: Telegrams, { profile }: SweepContext): Message[] {
  return fastChannelsOf(telegrams).map((channel) => {
    const step = fastValues(telegrams, channel).at(-1) ?? NaN;
    const value = valueOfStep(step, profile);
    const said = { step: plain(step), value: measured(value, profile.measures, 'with-basis') };
    return channel === 1 && Number.isFinite(value)
      ? sendsTelegrams(profile)
        ? say('sweep.telegram-value-by-profile', said)
        : say('sweep.telegram-value', said)
      : say('sweep.telegram-step', { channel, step: plain(step) });
  });
}

/** How long it is, in seconds. */
export const spanOf = ({ seconds }: Recording): number => (seconds.at(-1) ?? 0) - (seconds[0] ?? 0);

/** From falling edge to falling edge, in seconds. */
export const meanPeriod = ({ falling }: Toggling): number =>
  (falling.at(-1)! - falling[0]!) / (falling.length - 1);
const periodsOf = ({ falling }: Toggling): Float64Array =>
  Float64Array.from({ length: falling.length - 1 }, (_, i) => falling[i + 1]! - falling[i]!);

/** Whether every period is as long as the next. */
export const isSteady = (line: Toggling): boolean =>
  periodsOf(line).every((period) => Math.abs(period / meanPeriod(line) - 1) < STEADY_SHARE);

type Unread = Pick<SweepFinding, 'kind' | 'sentence'>;

/** What a line that goes to and fro without telegrams says, or why nothing could be found that it does. */
export function unread(line: Toggling, name: Message, profile: SensorProfile): Unread[] {
  const { sampleSeconds, upShare } = line;
  const mean = meanPeriod(line);
  const shortest = periodsOf(line).reduce((least, period) => Math.min(least, period), Infinity);
  if (isSteady(line))
    return [
      {
        kind: 'pulses',
        sentence: say('sweep.line-is-steady', {
          name,
          frequency: fixed(1 / mean, 1, 'Hz'),
          duty: fixed(100 * upShare, 1, '%'),
          // Levels that a logic capture calls 0 and 1 are no voltages.
          levels:
            line.isLogic && line.lowVolts === 0 && line.highVolts === 1
              ? NOTHING_TO_SAY
              : say('sweep.between-levels', { low: volts(line.lowVolts), high: volts(line.highVolts) }),
        }),
      },
      ...pulsesValue({ hertz: 1 / mean, upShare }, profile),
    ];
  if (sampleSeconds > 0 && shortest < FEWEST_SAMPLES_A_PULSE * sampleSeconds)
    return [
      {
        kind: 'telegrams-unread',
        sentence: say('sweep.capture-too-slow', { name, sample: fixed(sampleSeconds * 1e6, 2, 'µs') }),
      },
    ];
  return [
    {
      kind: 'garbled',
      sentence: say('sweep.telegrams-garbled', { name, rate: plain(Math.round(1 / mean)) }),
    },
  ];
}

/** What a steady line says by the profile of a sensor that sends its value so; a value past its range is told as such. */
function pulsesValue(pulses: { hertz: number; upShare: number }, profile: SensorProfile): Unread[] {
  if (!sendsPulses(profile)) return [];
  const { transfer, measures, lowest, highest } = profile;
  const value = valueOfPulses(pulses, transfer);
  if (!Number.isFinite(value)) return [];
  const said = { by: transfer.form, value: measured(value, measures, 'with-basis') };
  if (value >= lowest && value <= highest)
    return [{ kind: 'pulse-value', sentence: say('sweep.pulses-value', said) }];
  const range = { lowest: measured(lowest, measures), highest: measured(highest, measures) };
  return [{ kind: 'pulses', sentence: say('sweep.pulses-value-outside', { ...said, ...range }) }];
}
