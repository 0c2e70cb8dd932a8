import type { Message } from '../../../measure/message/index.ts';
import type { FaultKind } from '../../../machine/fault/index.ts';
import type { Decision } from './decisions.ts';
import type { Hypothesis } from '../hypotheses/hypotheses.ts';
import type { Posterior } from './posterior.ts';

/** Of the decision: what it is about it, where that is likelier than this. */
const WORTH_NAMING = 0.15;

/** What is wrong within one decision, by kind, the likeliest first; shares of the decision. */
export function kindsWithin(
  { members }: Decision,
  hypotheses: readonly Hypothesis[],
  { shares }: Posterior,
): { name: Message; share: number }[] {
  const total = members.reduce((sum, h) => sum + shares[h]!, 0);
  const byKind = new Map<FaultKind, number>();
  for (const h of members) {
    const { kind } = hypotheses[h]!;
    if (kind) byKind.set(kind, (byKind.get(kind) ?? 0) + shares[h]! / total);
  }
  return [...byKind]
    .map(([{ name }, share]) => ({ name, share }))
    .filter(({ share }) => share >= WORTH_NAMING)
    .sort((a, b) => b.share - a.share);
}
