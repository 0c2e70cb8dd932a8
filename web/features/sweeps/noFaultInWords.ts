import type { SweepFinding } from '@lettura/core/recording/sweep';
import { t } from '../../ui/words.ts';

/** What may be said of a recording without a fault: never more than was looked at. Undefined where there is one. */
export function noFaultInWords(
  findings: readonly Pick<SweepFinding, 'kind' | 'weight'>[],
): string | undefined {
  const has = (kind: SweepFinding['kind']) => findings.some((one) => one.kind === kind);
  if (findings.some(({ weight }) => weight === 'fault')) return undefined;
  if (has('not-looked')) return t('ui-sweeps.nothing-looked-say-channels');
  // A line that stands, or says nothing that can be read, may be a sound one or not.
  const isUnread = has('telegrams-unread') || has('garbled') || (has('pulses') && !has('pulse-value'));
  if (has('line-held') || isUnread) return t('ui-sweeps.line-tells-nothing');
  if (has('looked')) return t('ui-sweeps.no-fault-looked');
  return t('ui-sweeps.no-fault-found-when-recorded');
}
