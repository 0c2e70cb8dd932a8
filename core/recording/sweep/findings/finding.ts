import type { Message } from '../../../measure/message/index.ts';
import type { Companion } from '../../../measure/companion/index.ts';
import type { PressureBasis } from '../../../measure/quantity/index.ts';
import type { SensorProfile } from '../../../measure/transfer/index.ts';

export const CHANNEL_USES = [
  'signal',
  'second-signal',
  'reference',
  'live',
  'stimulus',
  'revs',
  'other',
] as const;
export type ChannelUse = (typeof CHANNEL_USES)[number];

/** A moment that somebody marked while recording. */
export interface SweepMark {
  atSeconds: number;
  words: string;
  /** What the signal should have been then, in volts. */
  expectedVolts?: { lowest: number; highest: number } | undefined;
}

export interface SweepContext {
  profile: SensorProfile;
  companion?: Companion | undefined;
  /** What each channel of the recording is, in its order. */
  uses: readonly ChannelUse[];
  /** Of channels that are pressures, where it is known. */
  bases?: readonly (PressureBasis | undefined)[] | undefined;
  /** Connects the bases. */
  ambientKpaAbs?: number | undefined;
  marks?: readonly SweepMark[] | undefined;
}

export const SWEEP_FINDINGS = [
  'dropout',
  /** It sticks on its way, and lets go. */
  'jump',
  'pair',
  'stuck',
  'reference',
  'lag',
  'noise',
  'travel',
  'still',
  'figures',
  'backward',
  /** Against what was recorded beside it, it stands off otherwise than before. */
  'offset',
  'marked-step',
  'step-response',
  'revs',
  'gap',
  'import',
  /** A line that carries telegrams: what arrives, what is lost, and what cannot be read. */
  'telegrams',
  /** That it toggles at a steady rate; and what that says, by the profile of the part. */
  'pulses',
  'pulse-value',
  'garbled',
  'telegrams-lost',
  'telegrams-unread',
  'line-held',
  /** What has to be said before a channel can be read. */
  'question',
  /** What was looked at, and what was not. */
  'looked',
  'not-looked',
] as const;

/** Of a line that a value may be sent on: no voltage of it stands for a place of the travel, or for anything else. */
export const LINE_FINDINGS: readonly (typeof SWEEP_FINDINGS)[number][] = [
  'telegrams',
  'telegrams-unread',
  'pulses',
  'pulse-value',
  'garbled',
  'line-held',
];

/** What a recording shows: a sentence, and the place in the plot. */
export interface SweepFinding {
  kind: (typeof SWEEP_FINDINGS)[number];
  /** A fault calls for looking; a note is worth knowing. */
  weight: 'fault' | 'note';
  sentence: Message;
  channel: number;
  fromSeconds: number;
  untilSeconds: number;
  /** In the sensor's unit, where the finding has a place in its travel. */
  position?: number | undefined;
}

/** A fault that shows at every pass is told once, with its first place in time. */
export const MOST_OF_A_KIND = 12;
