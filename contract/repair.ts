import {
  followedUp,
  repairEnd,
  repairProof,
  type AfterRepair,
  type FollowedUp,
  type RepairEnd,
  type RepairProof,
} from '@lettura/core/judge/checks';
import { caseFileOf, type JobRecord } from './caseFile.ts';
import { lastEpisode } from './episodes.ts';
import { standingReadings, type Reading } from './readings.ts';

/** The same tests before and after the last work, and what was looked at since. */
export interface ProvenRepair extends RepairProof {
  followed: FollowedUp;
  /** Readings, codes and road together. */
  end: RepairEnd;
}

/** What was done to the machine and not taken back, in the order in which it was. */
export const worksOn = (readings: readonly Reading[]) =>
  standingReadings(readings).filter((reading) => reading.kind === 'work');

/** Codes, readiness, road tests and rechecks on record and not taken back, in the order in which they were. */
export const followUpsOn = (readings: readonly Reading[]) =>
  standingReadings(readings).filter((reading) => reading.kind === 'follow-up');

/** What codes, readiness and the road say since the last work that changes what is read. */
export const followedOn = ({ job, readings }: Pick<JobRecord, 'job' | 'readings'>): FollowedUp =>
  followedUp(
    job.codes,
    lastEpisode(readings).readings.flatMap((reading): AfterRepair[] => {
      if (reading.kind === 'follow-up') return [reading.followUp];
      return reading.kind === 'work' && reading.work === 'codes-cleared' ? ['codes-cleared'] : [];
    }),
  );

/** What the same tests prove since the last work; undefined where none was done that changes what is read. */
export function proofOf(record: JobRecord): ProvenRepair | undefined {
  if (lastEpisode(record.readings).works.length === 0) return undefined;
  const proof = repairProof(caseFileOf(record, 'before-last-work'), caseFileOf(record));
  const followed = followedOn(record);
  return { ...proof, followed, end: repairEnd(proof.outcome, followed) };
}

/** Whether the work has done what it was for. */
export const isMended = (proof: ProvenRepair | undefined): boolean =>
  proof?.end === 'proven' || proof?.end === 'borne-out';
