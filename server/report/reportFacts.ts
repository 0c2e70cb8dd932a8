import { caseFileOf, lanesOf, proofOf, type JobSheet, type ProvenRepair } from '@lettura/contract';
import type { CaseFile } from '@lettura/core/judge/checks';
import { weighJob, type JobWeighing } from '@lettura/core/judge/weighing';

/** What follows from a record, for both parts of its report. */
export interface ReportFacts {
  caseFile: CaseFile;
  /** The machine before the last work on it; the same where none was done. */
  foundCase: CaseFile;
  /** Of the machine as it is now. */
  weighing: JobWeighing;
  /** Of the machine before the last work on it; the same where none was done. */
  foundWith: JobWeighing;
  proof: ProvenRepair | undefined;
}

/** Takes seconds: for a thread of its own. */
export function reportFacts(sheet: JobSheet): ReportFacts {
  const lanes = lanesOf({ ...sheet.sensor, pins: sheet.job.pins ?? sheet.sensor.pins });
  const caseFile = caseFileOf(sheet);
  const weighing = weighJob(caseFile, lanes);
  const proof = proofOf(sheet);
  const foundCase = proof ? caseFileOf(sheet, 'before-last-work') : caseFile;
  return {
    caseFile,
    foundCase,
    weighing,
    foundWith: proof ? weighJob(foundCase, lanes) : weighing,
    proof,
  };
}
