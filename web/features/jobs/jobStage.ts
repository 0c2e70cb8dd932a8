import type { JobSummary } from '@lettura/contract';
import { NOT_PROVEN } from '@lettura/contract';
import { causeInWords } from '../../ui/inWords.ts';
import { t } from '../../ui/words.ts';

export interface JobListProps {
  rows: readonly JobSummary[];
  onDelete: (jobId: string) => void;
}

type Stage = Pick<JobSummary, 'readingCount' | 'verdict'>;

/** How far a job has come. */
export const stageInWords = ({ readingCount, verdict }: Stage): string =>
  verdict ? causeInWords(verdict.cause) : readingCount > 0 ? t('ui-jobs.in-work') : t('ui-jobs.not-started');

export const JOB_FILTERS = ['all', 'open', 'proven'] as const;
export type JobFilter = (typeof JOB_FILTERS)[number];

/** Proven is what has a cause on record; what was recorded as not proven is still open. */
export const isProven = ({ verdict }: Stage): boolean =>
  verdict !== undefined && verdict.cause !== NOT_PROVEN;

export const passesFilter = (filter: JobFilter, row: Stage): boolean =>
  filter === 'all' || isProven(row) === (filter === 'proven');
