import type { JobSummary } from '@lettura/contract';
import { causeInWords } from '../../ui/causeInWords.ts';

/** Every word of the search somewhere in what the list shows of a job, in any order. */
export function matchesSearch(
  { job, vehicleName, sensorName, verdict }: JobSummary,
  search: string,
): boolean {
  const text = [
    vehicleName,
    sensorName,
    job.complaint,
    ...job.codes,
    verdict ? causeInWords(verdict.cause) : '',
  ]
    .join(' ')
    .toLowerCase();
  return search
    .toLowerCase()
    .split(/\s+/u)
    .every((word) => text.includes(word));
}
