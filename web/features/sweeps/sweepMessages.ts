import type { RecordingInfo } from '@lettura/contract';
import type { Message } from '@lettura/core/measure/message';
import type { Problem } from '@lettura/core/measure/problem';
import type { Layout, RecordingExport, RecordingHeading } from '@lettura/core/recording/file';
import type {
  Against,
  AnsweredStep,
  AtRulers,
  Calibration,
  Channel,
  Envelope,
  Plateau,
  Recording,
  SweepContext,
  SweepFinding,
} from '@lettura/core/recording/sweep';
import type { SerialMessage, Telegrams } from '@lettura/core/recording/telegram';
import type { Opened } from './openFile.ts';
import type { View } from './useView.ts';

/** What is known of the recording that the worker holds. */
export interface Held {
  samples: number;
  durationSeconds: number;
  /** As the file itself says, in milliseconds since 1970. */
  startedAtMs?: number | undefined;
  channels: Pick<Channel, 'name' | 'unit'>[];
  /** What was left out or odd. */
  remarks: Message[];
  /** Of a recording of this product, which says what it is itself. */
  heading?: RecordingHeading;
}

/** All frames that could be read, and what they say bit by bit. */
export interface ReadTelegrams {
  telegrams: Telegrams;
  serial: SerialMessage[];
}

/** Questions to the worker, and what it answers to each. */
export interface SweepQuestions {
  open: { ask: { file: File; headerRows?: number | undefined }; answer: Opened };
  read: { ask: { layout: Layout | undefined; samplesPerSecond: number }; answer: Held };
  /** Holds a recording that is on record, and tells what it is. */
  fetch: { ask: { id: string }; answer: RecordingInfo };
  take: { ask: { recording: Recording }; answer: Held };
  /** With other names and units than it came with, where somebody said so. */
  analyse: {
    ask: { context: SweepContext; channels?: { name: string; unit: string }[] };
    answer: SweepFinding[];
  };
  envelope: {
    ask: { channels: number[]; fromSeconds: number; toSeconds: number; columns: number };
    answer: Envelope[];
  };
  /** Of each channel, where one or two rulers lie. */
  rulers: { ask: { moments: number[] }; answer: AtRulers[] };
  /** Holds a stretch of what it held instead. */
  cut: { ask: View; answer: Held };
  against: { ask: { along: number; up: number; columns: number }; answer: Against | undefined };
  /** Undefined where the channel carries none. */
  telegrams: { ask: { channel: number }; answer: ReadTelegrams | undefined };
  /** Undefined where no stimulus was held beside the signal. */
  calibration: { ask: { context: SweepContext }; answer: Calibration | undefined };
  steps: { ask: { context: SweepContext }; answer: AnsweredStep[] };
  rests: { ask: { channel: number }; answer: Plateau[] };
  /** Sends what is held to its job. */
  send: { ask: { info: RecordingInfo }; answer: RecordingInfo };
  /** All its numbers, for who plays them again. */
  numbers: { ask: object; answer: Recording };
  /** All of it, or the stretch in view. */
  export: { ask: { as: RecordingExport; heading: RecordingHeading; view?: View }; answer: Blob };
}
export type QuestionName = keyof SweepQuestions;

export type Question = {
  [Name in QuestionName]: { number: number; name: Name; ask: SweepQuestions[Name]['ask'] };
}[QuestionName];
export type Reply =
  | { number: number; ok: true; answer: unknown }
  | { number: number; ok: false; problem: Problem }
  | { progress: number };
