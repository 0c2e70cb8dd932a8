import { COVERAGE_FACTOR, toLimits, type MeasuredValue } from './budget.ts';

export interface Comparison {
  outcome: 'agree' | 'disagree' | 'cannot-tell';
  /** First minus second. */
  difference: number;
  /** k = 2, of the difference. */
  expandedUncertainty: number;
  /** |difference| / √(Ux² + Uy²): ISO 13528, En score. */
  en: number;
  /** The largest single doubt of both sides. */
  limitedBy: string;
  /**
   * The limits (±, in the unit of the values) that this doubt would have to keep for the question to be answered;
   * undefined where even a perfect one would not do.
   */
  sufficientLimits: number | undefined;
}

/** As shown: instruments without any doubt, or far beyond it, give a number that nobody reads. */
export const enInWords = (en: number): string => (en < MOST_EN ? en.toFixed(2) : `over ${MOST_EN}`);
const MOST_EN = 100;

/**
 * Two values in one unit and basis. Agreement is only claimed where the instruments could have seen a difference that
 * matters; a difference beyond their doubt is claimed however good or bad they are.
 */
export function compareValues(a: MeasuredValue, b: MeasuredValue, differenceThatMatters: number): Comparison {
  const difference = a.value - b.value;
  const expandedUncertainty = Math.hypot(a.expandedUncertainty, b.expandedUncertainty);
  const en =
    expandedUncertainty === 0
      ? difference === 0
        ? 0
        : Infinity
      : Math.abs(difference) / expandedUncertainty;
  const outcome = en > 1 ? 'disagree' : expandedUncertainty > differenceThatMatters ? 'cannot-tell' : 'agree';
  const widest = [...a.terms, ...b.terms].reduce(
    (worst, term) => (term.standardUncertainty > worst.standardUncertainty ? term : worst),
    { source: 'nothing known', standardUncertainty: 0 },
  );
  const others = (expandedUncertainty / COVERAGE_FACTOR) ** 2 - widest.standardUncertainty ** 2;
  const allowed = (differenceThatMatters / COVERAGE_FACTOR) ** 2 - others;
  return {
    outcome,
    difference,
    expandedUncertainty,
    en,
    limitedBy: widest.source,
    sufficientLimits: allowed > 0 ? toLimits(Math.sqrt(allowed)) : undefined,
  };
}
