import { say, verbatim, type Message } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import { RECORDING_FORMAT, RECORDING_VERSION, type RecordingHeading } from '@lettura/core/recording/file';
import type { Recording } from '@lettura/core/recording/sweep';
import { z } from 'zod';
import { MOST_CHANNELS, MOST_SAMPLES, recordingInfo } from './recordings.ts';

const { name, takenAt, marks, note, channels } = recordingInfo.shape;

/** A recording as JSON: the numbers stand beside what they mean, a gap is null. */
export const recordingFile = z.strictObject({
  format: z.literal(RECORDING_FORMAT),
  version: z.literal(RECORDING_VERSION),
  name,
  takenAt,
  note,
  marks,
  channels,
  seconds: z.array(z.number()).min(2).max(MOST_SAMPLES),
  values: z.array(z.array(z.number().nullable())).min(1).max(MOST_CHANNELS),
});

/** Reads such a file; says what is wrong with one that is none. */
export function readRecordingFile(
  text: string,
): Result<{ recording: Recording; heading: RecordingHeading }, 'not-a-recording'> {
  const refuse = (message: Message) =>
    fail('not-a-recording', message, say('server.export-recording-again-json-csv'));
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch {
    return refuse(say('server.file-begins-like-json-but'));
  }
  const file = recordingFile.safeParse(given);
  if (!file.success) {
    const [issue] = file.error.issues;
    return refuse(
      issue && issue.path.length > 0
        ? say('server.no-recording-product-not-such', { where: verbatim(issue.path.join(' → ')) })
        : say('server.no-recording-outline'),
    );
  }
  const { seconds, values, channels: described, ...heading } = file.data;
  if (values.length !== described.length || values.some((all) => all.length !== seconds.length))
    return refuse(say('server.channels-file-not-all-long'));
  const back = seconds.findIndex((moment, i) => i > 0 && moment < seconds[i - 1]!);
  if (back > 0) return refuse(say('server.time-file-goes-back-sample', { back: back + 1 }));
  return ok({
    recording: {
      seconds: Float64Array.from(seconds),
      channels: described.map(({ name: of, unit }, i) => ({
        name: of,
        unit,
        values: Float64Array.from(values[i]!, (value) => value ?? NaN),
      })),
    },
    heading: {
      ...heading,
      uses: described.map(({ use }) => use),
      bases: described.map(({ basis }) => basis),
    },
  });
}
