import type { MeasuredPressure } from './budget.ts';

export interface Comparison {
  outcome: 'agree' | 'disagree' | 'cannot-tell';
  /** First minus second. */
  differenceKpa: number;
  /** k = 2, of the difference. */
  expandedUncertaintyKpa: number;
  /** |difference| / √(Ux² + Uy²): ISO 13528, En score. */
  en: number;
  /** The largest single doubt of both sides. */
  limitedBy: string;
}

/**
 * Two pressures in one basis. Agreement is only claimed where the instruments could have seen a difference that
 * matters; a difference beyond their doubt is claimed however good or bad they are.
 */
export function comparePressures(
  a: MeasuredPressure,
  b: MeasuredPressure,
  differenceThatMattersKpa: number,
): Comparison {
  const differenceKpa = a.pressureKpaAbs - b.pressureKpaAbs;
  const expandedUncertaintyKpa = Math.hypot(a.expandedUncertaintyKpa, b.expandedUncertaintyKpa);
  const en =
    expandedUncertaintyKpa === 0
      ? differenceKpa === 0
        ? 0
        : Infinity
      : Math.abs(differenceKpa) / expandedUncertaintyKpa;
  const outcome =
    en > 1 ? 'disagree' : expandedUncertaintyKpa > differenceThatMattersKpa ? 'cannot-tell' : 'agree';
  const widest = [...a.terms, ...b.terms].reduce(
    (worst, term) => (term.standardUncertaintyKpa > worst.standardUncertaintyKpa ? term : worst),
    { source: 'nothing known', standardUncertaintyKpa: -1 },
  );
  return { outcome, differenceKpa, expandedUncertaintyKpa, en, limitedBy: widest.source };
}
