import type { SweepFinding } from '@lettura/core/recording/sweep';

/** What may be said of a recording without a fault: never more than was looked at. Undefined where there is one. */
export function noFaultInWords(
  findings: readonly Pick<SweepFinding, 'kind' | 'weight'>[],
): string | undefined {
  const has = (kind: SweepFinding['kind']) => findings.some((one) => one.kind === kind);
  if (findings.some(({ weight }) => weight === 'fault')) return undefined;
  if (has('not-looked')) return '? Nothing was looked at: say what its channels are.';
  if (has('looked')) return '✓ No fault in what was looked at.';
  return '✓ No fault was found when it was recorded; what was looked at then is not on record.';
}
