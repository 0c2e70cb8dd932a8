import { say, type Message } from '@lettura/core/measure/message';
import { z } from 'zod';
import { instant } from './ids.ts';
import { instrument } from './instruments.ts';
import { formerly, newJob, newVerdict } from './jobs.ts';
import { instrumentsNamed, newReading } from './readings.ts';
import { newRecording, recordingRevision } from './recordings.ts';
import { refusal } from './refusal.ts';
import { sensor } from './sensors.ts';
import { vehicle } from './vehicles.ts';

export const JOB_FILE_FORMAT = 'lettura-job';
export const JOB_FILE_VERSION = 1;
/** A line of a file, which is one job: its recordings travel in it. */
export const MOST_JOB_BYTES = 256 * 1024 * 1024;
const MOST_LINES = 20_000;

/**
 * One job with all that belongs to it, for keeping and passing on: as JSON a file of its own, or one line of a file of many
 * (JSON Lines). What a server adds by itself, such as who is signed in, stays with it. Its JSON Schema is published.
 */
export const jobFile = z
  .strictObject({
    format: z.literal(JOB_FILE_FORMAT),
    version: z.literal(JOB_FILE_VERSION),
    job: newJob.extend({ deletedAt: instant.optional(), formerly }),
    vehicle,
    /** In the version that the job was done with. */
    sensor,
    instruments: z.array(instrument).max(1000),
    /** Every line in the order recorded: corrected and withdrawn ones as well. */
    readings: z.array(newReading).max(MOST_LINES),
    /** As they were recorded, with their numbers. */
    recordings: z.array(newRecording).max(1000),
    revisions: z.array(recordingRevision).max(MOST_LINES),
    verdicts: z.array(newVerdict).max(MOST_LINES),
  })
  .superRefine(({ job, vehicle: machine, sensor: taken, ...lists }, context) => {
    const refuse = (path: (string | number)[], what: Message) =>
      context.addIssue({ code: 'custom', path, message: refusal(what) });
    if (job.vehicleId !== machine.id) refuse(['job', 'vehicleId'], say('refusal.names-what-file-lacks'));
    if (job.sensorId !== taken.id) refuse(['job', 'sensorId'], say('refusal.names-what-file-lacks'));
    const instruments = new Set(lists.instruments.map(({ id }) => id));
    const recordings = new Set(lists.recordings.map(({ id }) => id));
    for (const name of ['readings', 'recordings', 'revisions', 'verdicts'] as const) {
      const before = new Set<string>();
      lists[name].forEach((row, i) => {
        if (row.jobId !== job.id) refuse([name, i, 'jobId'], say('refusal.of-another-job'));
        if (before.has(row.id)) refuse([name, i, 'id'], say('refusal.id-used-before'));
        before.add(row.id);
      });
    }
    const earlier = new Set<string>();
    lists.readings.forEach((row, i) => {
      if (row.supersedes && !earlier.has(row.supersedes))
        refuse(['readings', i, 'supersedes'], say('refusal.names-what-file-lacks'));
      earlier.add(row.id);
      if (instrumentsNamed(row).some((one) => !instruments.has(one)))
        refuse(['readings', i, 'instrumentId'], say('refusal.names-what-file-lacks'));
    });
    lists.revisions.forEach(({ recordingId }, i) => {
      if (!recordings.has(recordingId))
        refuse(['revisions', i, 'recordingId'], say('refusal.names-what-file-lacks'));
    });
  });
export type JobFile = z.infer<typeof jobFile>;

/** What a file of jobs came to. */
export const jobsTakenIn = z.strictObject({
  /** Were not here. */
  added: z.int(),
  /** Were here, and lacked lines that the file has. */
  grown: z.int(),
  /** Were here with all of it. */
  known: z.int(),
  /** Of those that were here: complaint, codes or history are others here, and were left as they are. */
  otherwiseHere: z.int(),
});
export type JobsTakenIn = z.infer<typeof jobsTakenIn>;

/** JSON Schema (draft 2020-12), generated from what the program itself checks with. */
export const jobFileSchema = () => ({
  $id: 'urn:lettura:schema:job:1',
  title: 'Lettura job, version 1',
  ...z.toJSONSchema(jobFile, { io: 'input', unrepresentable: 'any' }),
});
