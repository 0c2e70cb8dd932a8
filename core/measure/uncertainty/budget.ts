import { sameMessage, say, type Message, type Quantity } from '../message/index.ts';

/** JCGM 100:2008, 6.3.3: k = 2 for about 95 %. */
export const COVERAGE_FACTOR = 2;

export interface UncertaintyTerm {
  /** The instrument or part that brings the doubt. */
  source: Message;
  /** In the unit of the value. */
  standardUncertainty: number;
}

/** A value with its doubt, in the unit of what is measured; one comparison has one unit and one basis on both sides. */
export interface MeasuredValue {
  value: number;
  /** k = 2. */
  expandedUncertainty: number;
  terms: UncertaintyTerm[];
  /** The value is only an end that it is at or past: a sensor at the end of its output says no more. */
  bound?: 'at-or-below' | 'at-or-above' | undefined;
}

/** Only limits are known: a rectangular distribution, half-width / √3 (JCGM 100:2008, 4.3.7). */
export const fromLimits = (halfWidth: number): number => halfWidth / Math.sqrt(3);
/** The limits that a standard uncertainty stands for: the inverse of the above. */
export const toLimits = (standardUncertainty: number): number => standardUncertainty * Math.sqrt(3);
/** The last digit or scale step: its full width / √12 (JCGM 100:2008, F.2.2.1). */
export const fromResolution = (step: number): number => step / Math.sqrt(12);

/** Independent contributions add as squares (JCGM 100:2008, 5.1.2). */
export function measuredValue(
  value: number,
  terms: UncertaintyTerm[],
  bound?: MeasuredValue['bound'],
): MeasuredValue {
  const variance = terms.reduce((sum, term) => sum + term.standardUncertainty ** 2, 0);
  const expandedUncertainty = COVERAGE_FACTOR * Math.sqrt(variance);
  return { value, expandedUncertainty, terms, ...(bound ? { bound } : {}) };
}

/** A value as one says it that is only a bound: `at or below 20 kPa`. */
export const boundSaid = (bound: MeasuredValue['bound'], value: Quantity): Message | Quantity =>
  bound === undefined ? value : say(`doubt.${bound}`, { value });

/** The largest doubts first, each with its share (0..1) of the whole variance. */
export function budgetRows(terms: readonly UncertaintyTerm[]): (UncertaintyTerm & { share: number })[] {
  const variance = terms.reduce((sum, term) => sum + term.standardUncertainty ** 2, 0);
  return terms
    .map((term) => ({ ...term, share: variance > 0 ? term.standardUncertainty ** 2 / variance : 0 }))
    .sort((a, b) => b.share - a.share);
}

/** What the whole doubt (k = 2) would be with one term made smaller by a factor. */
export function expandedWithBetter(
  terms: readonly UncertaintyTerm[],
  source: Message,
  factor: number,
): number {
  return measuredValue(
    0,
    terms.map((term) =>
      sameMessage(term.source, source)
        ? { ...term, standardUncertainty: term.standardUncertainty * factor }
        : term,
    ),
  ).expandedUncertainty;
}
