import { fixed, say } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';
import { curveOf } from './curve.ts';
import { boundOf, type Bound } from './rangeEnd.ts';
import type { SensorProfile } from './sensorProfile.ts';
import { isSent, sentIn } from './sentValue.ts';

/** Three wires against battery negative, in volts, at one place and in one state. */
export interface WireVolts {
  signalVolts: number;
  referenceVolts: number;
  returnVolts: number;
}

/** Below this a share of the reference is mostly noise, and the sensor's own stage does not work. */
export const LOWEST_USABLE_REFERENCE_VOLTS = 3;

/** Why a signal gives no value. */
export type NoValue = 'reference-missing' | 'not-a-number' | 'value-is-sent';

/** A value out of a signal, with what keeps it from being a plain number. */
export interface Converted {
  /** In the measurand's unit, not clamped, so that a signal at a rail stays visible. */
  value: number;
  /** At or past an end: all that the signal says is on which side of it the value is. */
  bound: Bound | undefined;
  /** Past the range, whatever the reason. */
  extrapolated: boolean;
  /** The supply is not what the part is made for. */
  supplyOutside: boolean;
}

/**
 * The value from the signal as the sensor makes it: against its own return, in its own supply.
 *
 * Fails with `reference-missing` when there is no supply to take a share of, with `not-a-number` for volts that are none, and with
 * `value-is-sent` where no voltage is a value.
 */
export function valueFromSignal(
  { signalVolts, referenceVolts, returnVolts }: WireVolts,
  profile: SensorProfile,
): Result<Converted, NoValue> {
  if (isSent(profile)) {
    const areTelegrams = sentIn(profile) === 'telegrams';
    return fail(
      'value-is-sent',
      areTelegrams ? say('transfer.value-is-sent-in-telegrams') : say('transfer.value-is-sent-in-pulses'),
      areTelegrams ? say('transfer.capture-the-line') : say('transfer.capture-the-pulses'),
    );
  }
  if (![signalVolts, referenceVolts, returnVolts].every(Number.isFinite)) {
    return fail(
      'not-a-number',
      say('transfer.one-voltages-not-number-nothing'),
      say('transfer.read-again-type-meter-shows'),
    );
  }
  const supplyVolts = referenceVolts - returnVolts;
  if (!(supplyVolts >= LOWEST_USABLE_REFERENCE_VOLTS)) {
    return fail(
      'reference-missing',
      say('transfer.sensor-only-between-reference-return', { supplyVolts: fixed(supplyVolts, 2, 'V') }),
      say('transfer.find-missing-supply-first'),
    );
  }
  const ownVolts = signalVolts - returnVolts;
  const bound = boundOf(ownVolts, supplyVolts, profile);
  return ok({
    value: curveOf(profile, supplyVolts).valueAt(ownVolts),
    bound,
    extrapolated: bound !== undefined,
    supplyOutside: outsideSupply(supplyVolts, profile),
  });
}

/** A hot element is fed by the battery, so that its reference says nothing of its supply. */
const outsideSupply = (supplyVolts: number, { supplyVolts: made, transfer }: SensorProfile): boolean =>
  made !== undefined &&
  transfer.form !== 'hot-element' &&
  (supplyVolts < made.lowest || supplyVolts > made.highest);

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
  const rounding = 1e-9 * (profile.highest - profile.lowest);
  return {
    signalVolts: curveOf(profile, supplyVolts).voltsAt(value),
    extrapolated: value < profile.lowest - rounding || value > profile.highest + rounding,
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
