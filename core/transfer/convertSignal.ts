import { fail, ok, type Result } from '../problem/index.ts';
import { curveOf } from './curve.ts';
import type { SensorProfile } from './sensorProfile.ts';

/** Three wires against battery negative, in volts, at one place and in one state. */
export interface WireVolts {
  signalVolts: number;
  referenceVolts: number;
  returnVolts: number;
}

/** Below this a share of the reference is mostly noise, and the sensor's own stage does not work. */
export const LOWEST_USABLE_REFERENCE_VOLTS = 3;

/**
 * The value from the signal as the sensor makes it: against its own return, in its own supply.
 *
 * @returns in the measurand's unit; marked past the range, not clamped, so that a signal at a rail stays visible
 * Fails with `reference-missing` when there is no supply to take a share of.
 */
export function valueFromSignal(
  { signalVolts, referenceVolts, returnVolts }: WireVolts,
  profile: SensorProfile,
): Result<{ value: number; extrapolated: boolean }, 'reference-missing'> {
  const supplyVolts = referenceVolts - returnVolts;
  if (!(supplyVolts >= LOWEST_USABLE_REFERENCE_VOLTS)) {
    return fail(
      'reference-missing',
      `The sensor has only ${supplyVolts.toFixed(2)} V between reference and return: its signal means nothing.`,
      'Find the missing supply first.',
    );
  }
  const value = curveOf(profile, supplyVolts).valueAt(signalVolts - returnVolts);
  const extrapolated = value < profile.lowest || value > profile.highest;
  return ok({ value, extrapolated });
}

/**
 * The value from a signal alone, with the nominal supply taken for granted: what a control unit makes of its input, and
 * whoever recorded nothing but the signal.
 *
 * @returns in the measurand's unit, not clamped
 */
export const valueAtNominal = (signalVolts: number, profile: SensorProfile): number =>
  curveOf(profile, profile.nominalReferenceVolts).valueAt(signalVolts);

/** The inverse: signal volts against the sensor's return. Marked past the range, as above. */
export function signalFromValue(
  value: number,
  supplyVolts: number,
  profile: SensorProfile,
): { signalVolts: number; extrapolated: boolean } {
  return {
    signalVolts: curveOf(profile, supplyVolts).voltsAt(value),
    extrapolated: value < profile.lowest || value > profile.highest,
  };
}

/** Many signals at one supply, for recordings: `into` has the length of `signalVolts` and may be the same array. */
export function valuesFromSignals(
  signalVolts: Float64Array,
  supplyVolts: number,
  profile: SensorProfile,
  into: Float64Array,
): void {
  const curve = curveOf(profile, supplyVolts);
  // Only a straight line is worth taking out of its curve: the others cost more than the call.
  if (profile.transfer.form !== 'linear' && profile.transfer.form !== 'ratiometric') {
    for (let i = 0; i < signalVolts.length; i++) into[i] = curve.valueAt(signalVolts[i] as number);
    return;
  }
  const valuePerVolt = curve.valuePerVoltAt(0);
  const valueAtZeroVolts = curve.valueAt(0);
  for (let i = 0; i < signalVolts.length; i++)
    into[i] = (signalVolts[i] as number) * valuePerVolt + valueAtZeroVolts;
}
