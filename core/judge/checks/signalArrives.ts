import type { WireReading } from '../../record/evidence/index.ts';
import { SAME_WIRE_VOLTS } from '../../machine/limits/index.ts';
import type { CaseFile } from './caseFile.ts';
import { readingLimitVolts } from './readingLimit.ts';

type Taken = Pick<WireReading, 'volts' | 'meter'>;

/** Whether two readings of one wire, in one state, are the same within what their meters can tell. */
export const signalArrives = (from: Taken, to: Taken, caseFile: Pick<CaseFile, 'meter'>): boolean =>
  Math.abs(from.volts - to.volts) <=
  SAME_WIRE_VOLTS + readingLimitVolts(from, caseFile) + readingLimitVolts(to, caseFile);
