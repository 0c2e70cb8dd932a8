import type { EntryDefaults } from '@lettura/core/record/entry';
import type { Target } from '@lettura/core/machine/places';
import type { CaseFile } from '@lettura/core/judge/checks';
import { sendsPulses } from '@lettura/core/measure/transfer';
import type { Units } from '../../ui/units.ts';

/** Room above a sensor's range for a value that is plainly wrong, and for a gauge that shows more. */
const ROOM = 2;

/** What a bare number means on this job: the units of the reader, the measurand of its sensor. */
export function entryDefaults(
  { profile }: Pick<CaseFile, 'profile'>,
  selected: Target | undefined,
  units: Units,
): EntryDefaults {
  const { measures, highest } = profile;
  return {
    selected,
    measures,
    pulsesAs: sendsPulses(profile) ? profile.transfer.form : undefined,
    pressureUnit: units.absolute,
    gaugeUnit: measures === 'absolute-pressure' ? units.vacuum : units.absolute,
    highestKpa: Math.max(1000, ROOM * highest),
  };
}
