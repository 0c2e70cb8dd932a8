import type { CaseFile } from './caseFile.ts';
import { digitalLine } from './digitalLine.ts';
import type { Finding, Remark } from './finding.ts';
import { gaugeFindings } from './gaugeFindings.ts';
import { signalFindings } from './signalFindings.ts';
import { supplyFindings } from './supplyFindings.ts';

/** What plain readings say, in sentences: no causes yet. */
export interface FoundInReadings {
  findings: Finding[];
  /** Readings that could not be used as they stand, and why. */
  remarks: Remark[];
}

/**
 * Everything that the readings of a job say by themselves, in the order of the work, with the remarks that go with
 * it.
 */
export function findingsIn(caseFile: CaseFile): FoundInReadings {
  const parts = [supplyFindings, signalFindings, gaugeFindings].map((part) => part(caseFile));
  return {
    findings: parts.flatMap(({ findings }) => findings),
    remarks: [...parts.flatMap(({ remarks }) => remarks), ...digitalLine(caseFile)],
  };
}
