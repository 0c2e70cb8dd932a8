import { plain, say } from '@lettura/core/measure/message';
import { CIRCUMSTANCE_IDS, MOST_PRIOR, WEIGHED_KINDS } from '@lettura/core/judge/priors';
import { isCauseName } from '@lettura/core/judge/weighing';
import { z } from 'zod';
import { refusal } from './refusal.ts';
import { id, instant } from './ids.ts';
import { reading } from './readings.ts';
import { recordingInfo } from './recordings.ts';
import { instrument } from './instruments.ts';
import { pins } from './sensorParts.ts';
import { sensor } from './sensors.ts';
import { troubleCode } from './troubleCode.ts';
import { vehicle } from './vehicles.ts';

/** Practice cases are named by letter, so that what is wrong stays hidden. */
export const CASE_LETTERS = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'] as const;

/** Circumstances, and weights of kinds of fault that were changed for this job. */
const startingWeights = z.strictObject({
  circumstances: z.array(z.enum(CIRCUMSTANCE_IDS)).max(CIRCUMSTANCE_IDS.length).readonly(),
  priors: z.partialRecord(
    z.enum(WEIGHED_KINDS, refusal(say('refusal.weight-was-given-for-kind'))),
    z
      .number()
      .min(0)
      .max(MOST_PRIOR, refusal(say('refusal.weight-range', { most: plain(MOST_PRIOR) }))),
  ),
});

export const jobDetails = z.strictObject({
  complaint: z
    .string()
    .trim()
    .min(1, refusal(say('refusal.say-what-customer-complains')))
    .max(2000),
  codes: z.array(troubleCode).max(20),
  /** What was replaced or done before, by whom. */
  history: z.string().trim().max(2000),
  /** The plug as found on this vehicle, where it differs from the sensor's own list. */
  pins: pins.optional(),
  /** Left out while they are the usual ones. */
  starting: startingWeights.optional(),
  /** Of the engine, where the vehicle's entry does not say it: a flow meter is judged by it. */
  displacementLitres: z.number().min(0.05).max(100).optional(),
  /** Somebody knows that it was no good machine, whatever was proven: its readings are not counted as known good. */
  notAsKnownGood: z.literal(true).optional(),
});

/** More is no correction of a choice. */
export const MOST_FORMER = 50;

export const newJob = z.strictObject({
  id,
  vehicleId: id,
  sensorId: id,
  ...jobDetails.shape,
  openedAt: instant,
  /** A job on the simulated machine; the letter hides what is wrong with it. */
  bench: z
    .strictObject({
      /** Left out by jobs from before there were several machines. */
      machineId: z.string().min(1).max(40).optional(),
      caseLetter: z.enum(CASE_LETTERS),
      seed: z.int().min(0).max(2_147_483_647),
    })
    .optional(),
});
/** What a job was said to be of, until it was said to be of another: nothing typed is lost by a wrong choice. */
export const formerSubject = z.strictObject({
  until: instant,
  what: z.enum(['sensor', 'machine']),
  id,
  /** As it was called then. */
  name: z.string().max(200),
});
export type FormerSubject = z.infer<typeof formerSubject>;
/** The first to the last, left out while there are none. */
export const formerly = z.array(formerSubject).min(1).max(MOST_FORMER).optional();

export const job = newJob.extend({ revision: z.int(), deletedAt: instant.optional(), formerly });
export type NewJob = z.infer<typeof newJob>;
export type Job = z.infer<typeof job>;

export type JobDetails = z.infer<typeof jobDetails>;

/** What can be changed of a job, as it is: a change gives all of it, so that whoever changes one thing starts from here. */
export const detailsOf = ({
  complaint,
  codes,
  history,
  pins,
  starting,
  displacementLitres,
  notAsKnownGood,
}: Job): JobDetails => ({
  complaint,
  codes,
  history,
  ...(pins && { pins }),
  ...(starting && { starting }),
  ...(displacementLitres !== undefined && { displacementLitres }),
  ...(notAsKnownGood && { notAsKnownGood }),
});

/** `revision` is the one the change was made from: a change made elsewhere meanwhile is not overwritten. */
export const jobChange = jobDetails.extend({ revision: z.int().min(1).max(2_147_483_646) });

/** Another machine or another sensor than was chosen first; what is left out stays. */
export const jobSubject = z.strictObject({
  vehicleId: id.optional(),
  sensorId: id.optional(),
  revision: z.int().min(1).max(2_147_483_646),
});

export const NOT_PROVEN = 'not-proven';
export const newVerdict = z.strictObject({
  id,
  jobId: id,
  decidedAt: instant,
  /** The name of a decision of the weighing; older records carry names from before it reasoned with the circuit. */
  cause: z
    .string()
    .max(80)
    .refine((cause) => cause === NOT_PROVEN || isCauseName(cause), {
      error: refusal(say('refusal.such-cause-known-choose-one')),
    }),
  note: z.string().trim().max(2000),
});
export const verdict = newVerdict;
export type JobVerdict = z.infer<typeof verdict>;

export const jobSheet = z.strictObject({
  job,
  vehicle,
  sensor,
  readings: z.array(reading),
  /** Those that took the readings, in the version of then. */
  instruments: z.array(instrument),
  verdicts: z.array(verdict),
  /** Without their numbers. */
  recordings: z.array(recordingInfo),
});
export type JobSheet = z.infer<typeof jobSheet>;

export const jobSummary = z.strictObject({
  job,
  vehicleName: z.string(),
  sensorName: z.string(),
  readingCount: z.int(),
  /** The day on which it is to be looked at again; left out where none is set, and once it was. */
  recheckOn: z.iso.date().optional(),
  verdict: verdict.optional(),
});
export type JobSummary = z.infer<typeof jobSummary>;

/** More are too many to look through: which were left out is said with the number of all. */
export const MOST_MACHINE_JOBS = 100;

/** What this workshop knows of one vehicle or machine: its jobs, newest first, without those that were deleted. */
export const machineRecord = z.strictObject({
  vehicle,
  jobs: z.array(jobSheet).max(MOST_MACHINE_JOBS),
  jobsInAll: z.int(),
});
export type MachineRecord = z.infer<typeof machineRecord>;

/** What this workshop has read with one sensor, in whatever version: its jobs, newest first, without those that were deleted. */
export const sensorRecord = z.strictObject({
  sensor,
  jobs: z.array(jobSheet).max(MOST_MACHINE_JOBS),
  jobsInAll: z.int(),
});
export type SensorRecord = z.infer<typeof sensorRecord>;
