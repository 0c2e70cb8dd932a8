import type { WireReading } from '../../record/evidence/index.ts';
import { meterLimitVolts } from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';

/** How far a wire reading may be off by the meter that took it, in volts; the common meter's where nobody said. */
export const readingLimitVolts = (
  { volts, meter }: Pick<WireReading, 'volts' | 'meter'>,
  { meter: common }: Pick<CaseFile, 'meter'>,
): number => meterLimitVolts(volts, (meter ?? common).accuracy);
