import { numberIn } from '../../ui/numberIn.ts';

/** More rows than this are no table that one fills by hand. */
export const MOST_STEPS = 30;

/**
 * The settings that somebody wrote down, in the unit of the gauge: `0 5 10`, `0; 2,5; 5`, `0, 5, 10`.
 *
 * @returns undefined where one of them is no number, less than nothing, or they are too many
 */
export function ownSteps(text: string): number[] | undefined {
  // A comma without a blank behind it belongs to its number.
  const parts = text
    .trim()
    .split(/;|,\s+|\s+/u)
    .map((part) => part.trim())
    .filter((part) => part !== '');
  const steps = parts.map(numberIn);
  const isGood = steps.length > 0 && steps.length <= MOST_STEPS && steps.every((step) => step >= 0);
  return isGood ? [...new Set(steps)].sort((a, b) => a - b) : undefined;
}
