import type { Fault } from '../fault/index.ts';
import type { Bias } from '../transfer/index.ts';
import { STEPS_BETWEEN, type Hypothesis } from './hypotheses.ts';

export type KnownBias = Exclude<Bias, 'unknown'>;

/** One hypothesis in one of its sizes, on one way that the unit's input may be biased. */
export interface SizedHypothesis {
  /** Number of the hypothesis. */
  hypothesis: number;
  fault: Fault | undefined;
  bias: KnownBias;
  /** The sized hypothesis that nothing is wrong, on the same bias. */
  sound: number;
  /** Of the hypothesis itself, of which all sizes sum to one. */
  weight: number;
  /** The next smaller and the next larger size, itself at an end: what lies between them was not looked at. */
  smaller: number;
  larger: number;
  /** Where the circuit is solved around it, and how far it is from the first of the two to the second. */
  solvedBelow: number;
  solvedAbove: number;
  past: number;
}

/** All sizes of all hypotheses in one row, in which the weighing works; twice where the bias is not known. */
export function sizedHypotheses(hypotheses: readonly Hypothesis[], bias: Bias): SizedHypothesis[] {
  const biases: readonly KnownBias[] = bias === 'unknown' ? ['pull-down', 'pull-up'] : [bias];
  let first = 0;
  return biases.flatMap((one) => {
    const sound = first;
    return hypotheses.flatMap(({ sizes }, hypothesis) => {
      const from = first;
      first += sizes.length;
      const last = first - 1;
      const steps = sizes.length > STEPS_BETWEEN ? STEPS_BETWEEN : 1;
      return sizes.map((fault, i): SizedHypothesis => {
        const solvedBelow = from + i - (i % steps);
        return {
          hypothesis,
          fault,
          bias: one,
          sound,
          weight: 1 / sizes.length / biases.length,
          smaller: Math.max(from, from + i - 1),
          larger: Math.min(last, from + i + 1),
          solvedBelow,
          solvedAbove: i % steps === 0 ? solvedBelow : solvedBelow + steps,
          past: (i % steps) / steps,
        };
      });
    });
  });
}
