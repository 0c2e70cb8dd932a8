import { SENT_STEPS } from './curve.ts';
import type { PulseTransfer } from './pulseCurve.ts';
import type { SensorProfile, TelegramTransfer } from './sensorProfile.ts';

/** The lowest and highest of 4,096 steps that are a value; beneath the sender starts up, above it says what is wrong with it (SAE J2716, from memory). */
export const VALUE_STEPS = [1, 4088] as const;

/** What a line says a value in, where it goes to and fro. */
export type SentIn = 'telegrams' | 'pulses';

/** In what a sensor sends its value; undefined for one whose voltage is its value. */
export const sentIn = ({ transfer }: Pick<SensorProfile, 'transfer'>): SentIn | undefined =>
  transfer.form === 'telegrams'
    ? 'telegrams'
    : transfer.form === 'frequency' || transfer.form === 'duty'
      ? 'pulses'
      : undefined;

/** Whether a sensor sends its value: then no voltage of its line is one, only an average of going to and fro. */
export const isSent = (profile: Pick<SensorProfile, 'transfer'>): boolean => sentIn(profile) !== undefined;

/** Whether it sends it in telegrams. */
export const sendsTelegrams = <Profile extends Pick<SensorProfile, 'transfer'>>(
  profile: Profile,
): profile is Profile & { transfer: TelegramTransfer } => sentIn(profile) === 'telegrams';

/** Whether it sends it as a frequency or a duty. */
export const sendsPulses = <Profile extends Pick<SensorProfile, 'transfer'>>(
  profile: Profile,
): profile is Profile & { transfer: PulseTransfer } => sentIn(profile) === 'pulses';

/**
 * Between these the unit has a value, as the volts that its curve is laid out in: the limits of its circuit, or the first and the last
 * step of a telegram; pulses end where the line stands.
 */
export const valueLimitVolts = (profile: SensorProfile): readonly [low: number, high: number] =>
  isSent(profile)
    ? [(0.5 / SENT_STEPS) * profile.nominalReferenceVolts, profile.nominalReferenceVolts]
    : [profile.circuitLowVolts, profile.circuitHighVolts];
