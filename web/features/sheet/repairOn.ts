import { caseFileOf, type WorkDone } from '@lettura/contract';
import { repairProof, type RepairProof } from '@lettura/core/judge/checks';
import type { Sheet } from './useSheet.ts';

/** What was done to the machine and not taken back, in the order in which it was. */
export const worksOn = ({ readings, countingIds }: Pick<Sheet, 'readings' | 'countingIds'>): WorkDone[] =>
  readings
    .filter((reading) => reading.kind === 'work')
    .filter(({ id }) => countingIds.has(id))
    .toSorted((a, b) => a.takenAt.localeCompare(b.takenAt));

/** What the same tests prove since the last work; undefined where none was done that changes what is read. */
export const proofOf = (sheet: Sheet): RepairProof | undefined =>
  sheet.isRepaired ? repairProof(caseFileOf(sheet, 'before-last-work'), sheet.caseFile) : undefined;
