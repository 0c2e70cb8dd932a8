import type { Message } from '../../../measure/message/index.ts';
import type { Decision } from './decisions.ts';
import type { Hypothesis } from '../hypotheses/hypothesis.ts';
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
  const byName = new Map<string, { name: Message; share: number }>();
  for (const h of members) {
    const { kind, unlisted, title } = hypotheses[h]!;
    const name = kind ? kind.name : unlisted ? title : undefined;
    if (!name) continue;
    const before = byName.get(name.code)?.share ?? 0;
    byName.set(name.code, { name, share: before + shares[h]! / total });
  }
  return [...byName.values()].filter(({ share }) => share >= WORTH_NAMING).sort((a, b) => b.share - a.share);
}
