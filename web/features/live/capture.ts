import type { FeedSample } from '@lettura/contract';
import type { Recording } from '@lettura/core/sweep';
import { z } from 'zod';
import { stored } from '../../app/stored.ts';

const capture = z.object({
  jobId: z.string(),
  /** Rows of moment in ms and the values of the channels. */
  rows: z.array(z.array(z.number().nullable())),
});
/** What was captured from the meter, kept in this browser as it comes: a page that dies loses a second at most. */
export type Capture = z.infer<typeof capture>;
export const captureStorage = stored<Capture>('lettura.capture', capture, { jobId: '', rows: [] });

export const rowsOf = (samples: readonly FeedSample[]): Capture['rows'] =>
  samples.map(({ atMs, values }) => [atMs, ...values]);

/** A capture as a recording; what was over its range is a gap. */
export function recordingOf({ rows }: Capture, channelNames: readonly string[]): Recording {
  const start = rows[0]?.[0] ?? 0;
  return {
    seconds: Float64Array.from(rows, ([atMs]) => ((atMs ?? 0) - start) / 1000),
    channels: channelNames.map((name, i) => ({
      name,
      unit: 'V',
      values: Float64Array.from(rows, (row) => row[i + 1] ?? NaN),
    })),
  };
}
