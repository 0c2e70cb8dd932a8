import { NOTHING } from '@lettura/core/judge/priors';
import { z } from 'zod';
import { episodesOf } from './episodes.ts';
import { id } from './ids.ts';
import type { JobSheet } from './jobs.ts';
import { followedOn, proofOf } from './repair.ts';
import { isTakenReading, reading, type TakenReading } from './readings.ts';

/** So many of the newest jobs are looked at. */
export const MOST_KNOWN_GOOD_JOBS = 200;

/** What was read on machines of this workshop with one version of a sensor, once they were proven good. */
export const knownGoodRecord = z.strictObject({
  jobs: z.array(
    z.strictObject({
      jobId: id,
      vehicleName: z.string(),
      /** Nothing was wrong, or the repair was proven by the same tests again. */
      provenBy: z.enum(['nothing-wrong', 'repair']),
      readings: z.array(reading),
    }),
  ),
  /** With this version of the sensor, proven good or not: how many were looked at, and how many there are. */
  lookedAt: z.int(),
  jobsInAll: z.int(),
});
export type KnownGoodRecord = z.infer<typeof knownGoodRecord>;

/**
 * The readings of a job that were taken on a machine that is proven good: all since its last work, where that is proven, or
 * those on which the last word is that nothing is wrong. A simulated machine proves
 * nothing, nor does a job that somebody has left out.
 */
export function provenGood(
  sheet: JobSheet,
): { provenBy: 'nothing-wrong' | 'repair'; readings: TakenReading[] } | undefined {
  // A code or a complaint that is back takes back whatever was proven.
  if (sheet.job.bench || sheet.job.notAsKnownGood || followedOn(sheet).against.length > 0) return undefined;
  const episodes = episodesOf(sheet.readings);
  const present = episodes.at(-1) ?? episodes[0];
  const readings = present.readings.filter(isTakenReading);
  const since = present.fromInstant ?? '';
  const said = sheet.verdicts.findLast(({ decidedAt }) => decidedAt >= since);
  if (said) {
    if (said.cause !== NOTHING) return undefined;
    // What was read after the word was given is not what it was given on.
    return {
      provenBy: 'nothing-wrong',
      readings: readings.filter(({ takenAt }) => takenAt <= said.decidedAt),
    };
  }
  if (episodes.length === 1) return undefined;
  return proofOf(sheet)?.end === 'proven' ? { provenBy: 'repair', readings } : undefined;
}
