import type { JobSummary } from '@lettura/contract';
import { NOT_PROVEN } from '@lettura/contract';
import { causeInWords } from '../../ui/causeInWords.ts';
import { day } from '../../ui/when.ts';
import { t } from '../../ui/words.ts';

export interface JobListProps {
  rows: readonly JobSummary[];
  onDelete: (jobId: string) => void;
}

type Stage = Pick<JobSummary, 'readingCount' | 'verdict' | 'recheckOn'>;

/** How far a job has come. */
export const stageInWords = ({ readingCount, verdict }: Stage): string =>
  verdict ? causeInWords(verdict.cause) : readingCount > 0 ? t('ui-jobs.in-work') : t('ui-jobs.not-started');

/** When to look again; undefined where nothing is set. */
export const recheckInWords = ({ recheckOn }: Stage, today: string): string | undefined =>
  recheckOn === undefined
    ? undefined
    : t(recheckOn <= today ? 'ui-jobs.recheck-due' : 'ui-jobs.recheck-on', { day: day(recheckOn) });

export const JOB_FILTERS = ['all', 'open', 'proven', 'recheck', 'here'] as const;
export type JobFilter = (typeof JOB_FILTERS)[number];

/** Proven is what has a cause on record; what was recorded as not proven is still open. */
export const isProven = ({ verdict }: Stage): boolean =>
  verdict !== undefined && verdict.cause !== NOT_PROVEN;

/** @param here the jobs that were worked on in this browser */
export function passesFilter(
  filter: JobFilter,
  row: Stage & { job: Pick<JobSummary['job'], 'id'> },
  here: ReadonlySet<string>,
): boolean {
  switch (filter) {
    case 'all':
      return true;
    case 'here':
      return here.has(row.job.id);
    case 'recheck':
      return row.recheckOn !== undefined;
    case 'open':
    case 'proven':
      return isProven(row) === (filter === 'proven');
  }
}
