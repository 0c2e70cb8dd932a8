import type { Target } from '@lettura/core/machine/places';
import { sendsPulses, type SensorProfile } from '@lettura/core/measure/transfer';
import type { CaseFile } from '@lettura/core/judge/checks';
import type { KeypadProps } from './Keypad.tsx';

/** What a meter counts on the signal of a sensor that sends pulses; undefined where the signal is a voltage. */
export const countedUnit = (profile: SensorProfile): 'Hz' | '%' | undefined =>
  sendsPulses(profile) ? (profile.transfer.form === 'duty' ? '%' : 'Hz') : undefined;

/** Millivolts on a wire; on a signal of pulses what a meter counts there. */
export function unitKey(target: Target, { profile }: Pick<CaseFile, 'profile'>): KeypadProps['unit'] {
  if (target.kind !== 'wire') return undefined;
  return (target.lane === 'signal' && countedUnit(profile)) || 'mV';
}
