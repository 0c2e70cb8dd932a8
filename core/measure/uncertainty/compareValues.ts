import { fixed, say, type Message, type Quantity } from '../message/index.ts';
import { COVERAGE_FACTOR, toLimits, type MeasuredValue, type UncertaintyTerm } from './budget.ts';

export interface Comparison {
  outcome: 'agree' | 'disagree' | 'cannot-tell';
  /** First minus second; of a bound, the least that it can be on the side where it is known. */
  difference: number;
  /** k = 2, of the difference. */
  expandedUncertainty: number;
  /** |difference| / √(Ux² + Uy²): ISO 13528, En score. None where one side is only a bound. */
  en: number | undefined;
  /** The largest single doubt of both sides. */
  limitedBy: Message;
  /**
   * The limits (±, in the unit of the values) that this doubt would have to keep for the question to be answered;
   * undefined where even a perfect one would not do.
   */
  sufficientLimits: number | undefined;
  /** One side is only a bound: the difference is at least this, or nothing is known of it. */
  ofBound?: boolean | undefined;
}

/** As shown: instruments without any doubt, or far beyond it, give a number that nobody reads. */
export const enSaid = (en: number): Message | Quantity =>
  en < MOST_EN ? fixed(en, 2) : say('doubt.over', { most: MOST_EN });
const MOST_EN = 100;

/** What limits a comparison with a sensor at an end of its output. */
export const OUTPUT_END = say('doubt.end-sensor-can-show');

/**
 * Two values in one unit and basis. Agreement is only claimed where the instruments could have seen a difference that
 * matters; a difference beyond their doubt is claimed however good or bad they are. A bound never agrees with anything: it
 * disagrees with what lies beyond its doubt on the far side, and else cannot tell.
 */
export function compareValues(a: MeasuredValue, b: MeasuredValue, differenceThatMatters: number): Comparison {
  const difference = a.value - b.value;
  const expandedUncertainty = Math.hypot(a.expandedUncertainty, b.expandedUncertainty);
  if (a.bound || b.bound) return withBound(a, b, difference, expandedUncertainty);
  const en =
    expandedUncertainty === 0
      ? difference === 0
        ? 0
        : Infinity
      : Math.abs(difference) / expandedUncertainty;
  const outcome = en > 1 ? 'disagree' : expandedUncertainty > differenceThatMatters ? 'cannot-tell' : 'agree';
  const widest = [...a.terms, ...b.terms].reduce<UncertaintyTerm>(
    (worst, term) => (term.standardUncertainty > worst.standardUncertainty ? term : worst),
    { source: say('doubt.nothing-known'), standardUncertainty: 0 },
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

function withBound(
  a: MeasuredValue,
  b: MeasuredValue,
  difference: number,
  expandedUncertainty: number,
): Comparison {
  // The true difference may be further down where the first is at most, or the second at least, what it says.
  const mayBeLess = a.bound === 'at-or-below' || b.bound === 'at-or-above';
  const mayBeMore = a.bound === 'at-or-above' || b.bound === 'at-or-below';
  const apart =
    (mayBeLess && !mayBeMore && difference < -expandedUncertainty) ||
    (mayBeMore && !mayBeLess && difference > expandedUncertainty);
  return {
    outcome: apart ? 'disagree' : 'cannot-tell',
    difference,
    expandedUncertainty,
    en: undefined,
    limitedBy: OUTPUT_END,
    sufficientLimits: undefined,
    ofBound: true,
  };
}
