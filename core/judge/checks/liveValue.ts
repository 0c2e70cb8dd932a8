import type { ScanReading } from '../../record/evidence/index.ts';
import { liveDataStep } from '../../machine/family/index.ts';
import { curveOf, toleranceAt } from '../../measure/transfer/index.ts';
import {
  fromLimits,
  liveDataTerms,
  measuredValue,
  SENSOR_TOLERANCE,
  type MeasuredValue,
} from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';

/** Live data as a value: its step, and the converter of the unit, on the curve that the unit reads the wire with. */
export function liveValue(
  { family, profile }: Pick<CaseFile, 'family' | 'profile'>,
  { value, step }: Pick<ScanReading, 'value' | 'step'>,
): MeasuredValue {
  const { nominalReferenceVolts } = profile;
  const curve = curveOf(profile, nominalReferenceVolts);
  const perReference = curve.valuePerVoltAt(curve.voltsAt(value)) * nominalReferenceVolts;
  return measuredValue(value, liveDataTerms(step ?? liveDataStep(family, profile.measures), perReference));
}

/** The same as a witness of the quantity itself: the sensor that it came from is in it, with its tolerance. */
export function liveValueOfQuantity(
  caseFile: Pick<CaseFile, 'family' | 'profile'>,
  scan: Pick<ScanReading, 'value' | 'step'>,
): MeasuredValue {
  const { value, terms } = liveValue(caseFile, scan);
  const tolerance = fromLimits(toleranceAt(value, caseFile.profile));
  return measuredValue(value, [{ source: SENSOR_TOLERANCE, standardUncertainty: tolerance }, ...terms]);
}
