import type { CaseFile } from '../../checks/index.ts';
import { codeId } from '../likelihood/codeEvidence.ts';
import type { Reaches } from './candidates.ts';
import type { StartingWeights } from '../../priors/index.ts';

/** Changes that are tried on, and touch no record. */
export interface WhatIf {
  /** Readings and looks left out. */
  without: readonly string[];
  /** In place of the starting weights of the job. */
  starting?: StartingWeights | undefined;
  /** A cause that is looked at whatever its weight. */
  suppose?: string | undefined;
  reaches: Reaches;
}

export const NO_WHAT_IF: WhatIf = { without: [], reaches: {} };

/** The record with what is tried on. */
export const tried = (onRecord: CaseFile, { without, starting }: WhatIf): CaseFile =>
  withoutReadings(starting ? { ...onRecord, starting } : onRecord, without);

/** The record without what is left out. */
function withoutReadings(caseFile: CaseFile, without: readonly string[]): CaseFile {
  if (without.length === 0) return caseFile;
  const stays = ({ id }: { id: string }) => !without.includes(id);
  return {
    ...caseFile,
    readings: caseFile.readings.filter(stays),
    isolation: caseFile.isolation.filter(stays),
    observations: caseFile.observations.filter(stays),
    codes: caseFile.codes.filter((code) => stays({ id: codeId(code) })),
  };
}

/** Whether a supposition leaves everything as it is on record. */
export const changesNothing = ({ without, starting, suppose }: WhatIf): boolean =>
  without.length === 0 && starting === undefined && suppose === undefined;
