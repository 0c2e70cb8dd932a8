import type { WireReading } from '../evidence/index.ts';
import type { CaseFile } from './caseFile.ts';
import { readingLimitVolts } from './readingLimit.ts';

/** What the unit's converter and ground may differ from a hand meter; a break differs by far more. */
const SAME_VOLTS = 0.05;

type Taken = Pick<WireReading, 'volts' | 'meter'>;

/** Whether two readings of one wire, in one state, are the same within what their meters can tell. */
export const signalArrives = (from: Taken, to: Taken, caseFile: Pick<CaseFile, 'meter'>): boolean =>
  Math.abs(from.volts - to.volts) <=
  SAME_VOLTS + readingLimitVolts(from, caseFile) + readingLimitVolts(to, caseFile);
