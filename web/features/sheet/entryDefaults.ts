import type { EntryDefaults } from '@lettura/core/record/entry';
import { usualTap } from '@lettura/core/machine/family';
import type { Target } from '@lettura/core/machine/places';
import type { CaseFile } from '@lettura/core/judge/checks';
import { sendsPulses } from '@lettura/core/measure/transfer';
import type { Units } from '../../ui/units.ts';

/** Room above a sensor's range for a value that is plainly wrong, and for a gauge that shows more. */
const ROOM = 2;

/** What a bare number means on this job: the units of the reader, the measurand of its sensor. */
export function entryDefaults(
  { profile, family }: Pick<CaseFile, 'profile' | 'family'>,
  selected: Target | undefined,
  units: Units,
): EntryDefaults {
  const { measures, highest } = profile;
  const tap = usualTap(family);
  return {
    selected,
    measures,
    pulsesAs: sendsPulses(profile) ? profile.transfer.form : undefined,
    pressureUnit: units.absolute,
    tap,
    gaugeUnit: measures === 'absolute-pressure' && tap !== 'service-port' ? units.vacuum : units.absolute,
    highestKpa: Math.max(1000, ROOM * highest),
  };
}
