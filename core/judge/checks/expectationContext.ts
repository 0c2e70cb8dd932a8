import { latestWire } from '../../record/evidence/index.ts';
import { keyOn, sameDrive } from '../../machine/places/index.ts';
import type { ExpectationContext } from '../expectation/index.ts';
import { REFERENCE_TOLERANCE_VOLTS } from '../../machine/limits/index.ts';
import { LOWEST_USABLE_REFERENCE_VOLTS } from '../../measure/transfer/index.ts';
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
  const loaded = (lane: 'reference' | 'return') =>
    latestWire(readings, lane, 'plug', (state) => keyOn(state) && state.plug === 'connected');
  const measured = loaded('reference');
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
    // Nobody read it: a sound unit may give a little less or more, and the expectation is as wide as that.
    referenceDoubtVolts: usable ? 0 : REFERENCE_TOLERANCE_VOLTS,
    returnVolts: loaded('return')?.volts ?? 0,
  };
}
