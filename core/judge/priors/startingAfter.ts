import type { FamilyId } from '../../machine/family/index.ts';
import type { WorkId } from '../../record/workDone/index.ts';
import { usualPriors } from './kindPriors.ts';
import type { StartingWeights } from './startingWeights.ts';
import { MOST_PRIOR, NOTHING } from './weighedKinds.ts';

/** What is mended by whoever had read before is mostly what was wrong: our own starting value. */
const MENDED_FACTOR = 5;

/**
 * The weights of a machine after work was done on it: that nothing is wrong now is likelier than before, a new sensor is
 * seldom it but may be the wrong one, and whatever was worked at may have been left loose.
 */
export function startingAfter(
  starting: StartingWeights,
  works: readonly WorkId[],
  family: FamilyId,
): StartingWeights {
  if (works.length === 0) return starting;
  const added = works.includes('sensor-replaced')
    ? (['sensor-replaced', 'worked-on'] as const)
    : (['worked-on'] as const);
  const nothing = starting.priors[NOTHING] ?? usualPriors(family)[NOTHING];
  return {
    circumstances: [...new Set([...starting.circumstances, ...added])],
    priors: { ...starting.priors, [NOTHING]: Math.min(MOST_PRIOR, MENDED_FACTOR * nothing) },
  };
}
