import type { Target } from '@lettura/core/machine/places';
import { sendsPulses } from '@lettura/core/measure/transfer';
import type { CaseFile } from '@lettura/core/judge/checks';
import type { KeypadProps } from './Keypad.tsx';

/** Millivolts on a wire; on a signal of pulses what a meter counts there. */
export function unitKey(target: Target, { profile }: Pick<CaseFile, 'profile'>): KeypadProps['unit'] {
  if (target.kind !== 'wire') return undefined;
  if (target.lane !== 'signal' || !sendsPulses(profile)) return 'mV';
  return profile.transfer.form === 'duty' ? '%' : 'Hz';
}
