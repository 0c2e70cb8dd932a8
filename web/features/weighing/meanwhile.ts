import type { JobWeighing } from '@lettura/core/judge/weighing';

/**
 * What stands until a weighing is complete: reasons, sentence and next reading of before keep their places until their own
 * have come, so that nothing jumps away under the hand. The shares, the gate and what is proven are of now.
 */
export function meanwhile(before: JobWeighing | undefined, now: JobWeighing): JobWeighing {
  if (!before || now.stage === 'reasons') return now;
  const told = new Map(before.causes.map((cause) => [cause.cause, cause]));
  const isRanked = now.stage === 'ranked';
  return {
    ...now,
    causes: now.causes.map((cause) => {
      const { speaksFor = [], speaksAgainst = [] } = told.get(cause.cause) ?? {};
      return { ...cause, speaksFor, speaksAgainst };
    }),
    doubtful: before.doubtful,
    next: isRanked && now.next.length === 0 ? before.next : now.next,
    verdict: isRanked && !before.verdict.decided ? before.verdict : now.verdict,
  };
}
