import { say } from '@lettura/core/measure/message';
import { PRESSURE_BASES } from '@lettura/core/measure/quantity';
import { CHANNEL_USES, SWEEP_FINDINGS } from '@lettura/core/recording/sweep';
import { z } from 'zod';
import { refusal } from './refusal.ts';
import { id, instant } from './ids.ts';
import { message, saidAtTheTime } from './messages.ts';
import { plainText } from './text.ts';

export const MOST_CHANNELS = 64;
export const MOST_SAMPLES = 20_000_000;
/** Moments and all channels together: what a page can hold at once. */
export const MOST_NUMBERS = 100_000_000;
/** Deflated and in base64, as it travels. */
export const MOST_RECORDING_BYTES = 96 * 1024 * 1024;
const MOST_FINDINGS = 200;
export const MOST_MARKS = 200;

const seconds = z.number().min(0).max(1e7);

const channel = z.strictObject({
  name: plainText(60).min(1),
  unit: plainText(12),
  use: z.enum(CHANNEL_USES),
  /** Of a channel that is a pressure, where it is known. */
  basis: z.enum(PRESSURE_BASES).optional(),
});

const finding = z.strictObject({
  kind: z.enum(SWEEP_FINDINGS),
  weight: z.enum(['fault', 'note']),
  /** A text is what an earlier page sends, which had words of its own. */
  sentence: z.union([message, z.string().max(2000).transform(saidAtTheTime)]),
  channel: z.int().min(0).max(MOST_CHANNELS),
  fromSeconds: seconds,
  untilSeconds: seconds,
  position: z.number().optional(),
});

const volts = z.number().min(-1000).max(1000);
/** A moment that was marked while recording. */
const mark = z.strictObject({
  atSeconds: seconds,
  words: plainText(80).min(1),
  expectedVolts: z.strictObject({ lowest: volts, highest: volts }).optional(),
});

/** How a recording that is on record is read from now on. The numbers stay, and so does what was said before. */
export const recordingRevision = z.strictObject({
  id,
  recordingId: id,
  jobId: id,
  revisedAt: instant,
  /** It counts no longer: of another machine, or taken wrongly. */
  withdrawn: z.boolean(),
  channels: z.array(channel).min(1).max(MOST_CHANNELS),
  findings: z.array(finding).max(MOST_FINDINGS),
  /** What is left out stays as it was said last. */
  name: plainText(120)
    .min(1, refusal(say('refusal.give-recording-name')))
    .optional(),
  note: plainText(1000).optional(),
  marks: z.array(mark).max(MOST_MARKS).optional(),
});
export type RecordingRevision = z.infer<typeof recordingRevision>;

/** A recording without its numbers, as it was said last. */
export const recordingInfo = z.strictObject({
  id,
  jobId: id,
  name: plainText(120).min(1, refusal(say('refusal.give-recording-name'))),
  takenAt: instant,
  source: z.enum(['import', 'bench', 'live']),
  channels: z.array(channel).min(1).max(MOST_CHANNELS),
  samples: z.int().min(1).max(MOST_SAMPLES),
  durationSeconds: seconds,
  /** What the analysis found when it was recorded. */
  findings: z.array(finding).max(MOST_FINDINGS),
  marks: z.array(mark).max(MOST_MARKS),
  note: plainText(1000),
  /** The last one, where there is any. */
  revision: recordingRevision.pick({ revisedAt: true, withdrawn: true }).optional(),
});
export type RecordingInfo = z.infer<typeof recordingInfo>;

/** It was taken back, and counts for nothing. */
export const isWithdrawn = ({ revision }: Pick<RecordingInfo, 'revision'>): boolean =>
  revision?.withdrawn === true;

/** The numbers are base64 of raw deflate over float64, little-endian: all moments in seconds, then channel by channel; NaN for gaps. */
export const recordingWithNumbers = recordingInfo.extend({ data: z.base64().max(MOST_RECORDING_BYTES) });
export type RecordingWithNumbers = z.infer<typeof recordingWithNumbers>;

/** Longer ones are looked at in the program: they would hold up whoever else wants a report. Moments and channels together. */
export const MOST_NUMBERS_DRAWN = 12_000_000;
export const isTooLongToDraw = ({
  samples,
  channels,
}: Pick<RecordingInfo, 'samples' | 'channels'>): boolean =>
  samples * (channels.length + 1) > MOST_NUMBERS_DRAWN;

/** A recording as it is printed: SVG, one a channel and in their order; none where it is too long to be drawn. */
export const recordingPictures = z.strictObject({ pictures: z.array(z.string()).max(MOST_CHANNELS) });

export const newRecording = recordingWithNumbers
  .omit({ revision: true })
  .refine(({ samples, channels }) => samples * (channels.length + 1) <= MOST_NUMBERS, {
    error: refusal(say('refusal.recording-too-many-numbers', { most: MOST_NUMBERS })),
    path: ['samples'],
  });
export type NewRecording = z.infer<typeof newRecording>;
