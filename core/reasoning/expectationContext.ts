import { keyOn, latestWire, sameDrive } from '../evidence/index.ts';
import type { ExpectationContext } from '../expectation/index.ts';
import { LOWEST_USABLE_REFERENCE_VOLTS } from '../transfer/index.ts';
import type { CaseFile } from './caseFile.ts';

/** What expectations follow from on this job: the reference as measured at the plug, where it is usable. */
export function expectationContext({
  profile,
  family,
  companion,
  ambient,
  readings,
  displacementLitres,
}: CaseFile): ExpectationContext {
  const measured = latestWire(
    readings,
    'reference',
    'plug',
    (state) => keyOn(state) && state.plug === 'connected',
  );
  const usable = measured && measured.volts >= LOWEST_USABLE_REFERENCE_VOLTS;
  return {
    family,
    profile,
    ambient,
    displacementLitres,
    companion,
    signalVolts: (state) =>
      latestWire(readings, 'signal', 'plug', (other) => other.plug === 'connected' && sameDrive(other, state))
        ?.volts,
    referenceVolts: usable ? measured.volts : profile.nominalReferenceVolts,
  };
}
