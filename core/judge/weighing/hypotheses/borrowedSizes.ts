import type { Hypothesis } from './hypothesis.ts';
import type { SizedHypothesis } from './sizedHypotheses.ts';
import { SOUND_IN_A_STATE } from './unlisted.ts';

/** The sizes of hypotheses that show what another one would: solved once for both. */
export function borrowedSizes(
  hypotheses: readonly Hypothesis[],
  solved: readonly SizedHypothesis[],
): SizedHypothesis[] {
  const sound = solved.filter(({ fault }) => !fault);
  return hypotheses.flatMap(({ like, unlisted }, hypothesis) => {
    if (unlisted === 'circuit') return sound.map((one) => ({ ...one, hypothesis, isAnything: true }));
    if (like === undefined) return [];
    const alike = solved.filter((one) => one.hypothesis === like).map((one) => ({ ...one, hypothesis }));
    if (!unlisted) return alike;
    return [
      ...sound.map((one) => ({ ...one, hypothesis, weight: SOUND_IN_A_STATE * one.weight })),
      ...alike.map((one) => ({ ...one, weight: (1 - SOUND_IN_A_STATE) * one.weight })),
    ];
  });
}
