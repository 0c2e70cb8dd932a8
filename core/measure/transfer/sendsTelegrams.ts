import { SENT_STEPS } from './curve.ts';
import type { SensorProfile, TelegramTransfer } from './sensorProfile.ts';

/** The lowest and highest of 4,096 steps that are a value; beneath the sender starts up, above it says what is wrong with it (SAE J2716, from memory). */
export const VALUE_STEPS = [1, 4088] as const;

/** Whether a sensor sends its value in telegrams: then no voltage of its line is a value, only an average of going to and fro. */
export const sendsTelegrams = <Profile extends Pick<SensorProfile, 'transfer'>>(
  profile: Profile,
): profile is Profile & { transfer: TelegramTransfer } => profile.transfer.form === 'telegrams';

/**
 * Between these the unit has a value, as the volts that its curve is laid out in: the limits of its circuit, or the first and the last
 * step of a telegram.
 */
export const valueLimitVolts = (profile: SensorProfile): readonly [low: number, high: number] =>
  sendsTelegrams(profile)
    ? [(0.5 / SENT_STEPS) * profile.nominalReferenceVolts, profile.nominalReferenceVolts]
    : [profile.circuitLowVolts, profile.circuitHighVolts];
