import { faultAnywhere, type Fault } from '../../../machine/fault/index.ts';
import type { Bias } from '../../../measure/transfer/index.ts';
import type { Hypothesis } from './hypothesis.ts';

export type KnownBias = Exclude<Bias, 'unknown'>;

/** One hypothesis in one size for which the circuit is solved, on one way that the unit's input may be biased. */
export interface SolvedSize {
  hypothesis: number;
  fault: Fault | undefined;
  bias: KnownBias;
}

/** One hypothesis in one of its sizes: between two that are solved. */
export interface SizedHypothesis {
  /** Number of the hypothesis. */
  hypothesis: number;
  fault: Fault | undefined;
  /** Of the hypothesis itself, of which all sizes sum to one. */
  weight: number;
  /** The sized hypothesis that nothing is wrong, on the same bias. */
  sound: number;
  /** The next smaller and the next larger size, itself at an end: what lies between them was not looked at. */
  smaller: number;
  larger: number;
  /** Which solved sizes it lies between, and how far from the first to the second. */
  solvedBelow: number;
  solvedAbove: number;
  past: number;
  /** Every reading may be anything, whatever the circuit would show. */
  isAnything?: true;
}

/** All solved sizes of all hypotheses in one row; twice where the bias is not known. */
export const solvedSizes = (hypotheses: readonly Hypothesis[], bias: Bias): SolvedSize[] =>
  (bias === 'unknown' ? (['pull-down', 'pull-up'] as const) : [bias]).flatMap((one) =>
    hypotheses.flatMap(({ sizes }, hypothesis) => sizes.map((fault) => ({ hypothesis, fault, bias: one }))),
  );

/** Of the solved sizes, first and last of each hypothesis on each bias. */
export function rangesOf(solved: readonly SolvedSize[]): { first: number; last: number }[] {
  const ranges: { first: number; last: number }[] = [];
  solved.forEach(({ hypothesis, bias }, at) => {
    const before = solved[at - 1];
    if (before?.hypothesis === hypothesis && before.bias === bias) ranges.at(-1)!.last = at;
    else ranges.push({ first: at, last: at });
  });
  return ranges;
}

/**
 * All sizes of all hypotheses in one row, in which the weighing works.
 *
 * @param stepsAfter how many sizes to look at between a solved size and the next: as many as an instrument tells apart
 */
export function sizedHypotheses(
  solved: readonly SolvedSize[],
  stepsAfter: (solvedSize: number) => number,
): SizedHypothesis[] {
  const all: SizedHypothesis[] = [];
  const biases = new Set(solved.map(({ bias }) => bias)).size;
  let sound = 0;
  for (const { first, last } of rangesOf(solved)) {
    const { hypothesis, fault } = solved[first]!;
    const from = all.length;
    if (!fault) sound = from;
    const one = { hypothesis, sound, smaller: from, larger: from };
    if (first === last)
      all.push({ ...one, fault, weight: 1 / biases, solvedBelow: first, solvedAbove: first, past: 0 });
    for (let size = first; size < last; size++) {
      const steps = stepsAfter(size);
      for (let step = 0; step < steps; step++) {
        const past = (step + 0.5) / steps;
        all.push({
          ...one,
          fault: faultAnywhere(fault!.kind, fault!.site, (size - first + past) / (last - first)),
          weight: 1 / biases / steps / (last - first),
          solvedBelow: size,
          solvedAbove: size + 1,
          past,
        });
      }
    }
    for (let s = from; s < all.length; s++) {
      all[s]!.smaller = Math.max(from, s - 1);
      all[s]!.larger = Math.min(all.length - 1, s + 1);
    }
  }
  return all;
}
