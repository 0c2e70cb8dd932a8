import type { MachineState } from '../../../machine/places/index.ts';
import { effectsOf } from '../../../machine/fault/index.ts';
import type { Answers } from './circuitAnswers.ts';
import { distance } from './rows.ts';
import type { CircuitSpot } from './circuitSpot.ts';
import { NOTHING } from '../../priors/index.ts';
import type { Hypothesis } from '../hypotheses/hypothesis.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';

const DRIVING: MachineState = { engine: 'koeo', plug: 'connected' };
/** Of the reference: what shifts an input by less is lost in the spread of sound machines. */
const NOTICED_SHARE = 0.012;
/** A size that the unit never notices brings nobody in, but for other reasons. */
const UNNOTICED_WEIGHT = 0.02;

/**
 * Weights of the sizes of each hypothesis, by what the control unit notices of them: a complaint or a code brought the machine
 * in, and ohms in a wire without current never made one.
 *
 * @returns by sized hypothesis; those of a hypothesis of which everything is noticed sum to one
 */
export function noticedWeights(
  answers: Answers,
  hypotheses: readonly Hypothesis[],
  nominalVolts: number,
  hasSecond: boolean,
): Float64Array {
  const { sized } = answers;
  const inputs: CircuitSpot[] = [{ kind: 'scan' }];
  if (hasSecond) inputs.push({ kind: 'wire', lane: 'second-signal', place: 'unit' });
  const tables = inputs.map((spot) => answers.at(spot, DRIVING));
  return Float64Array.from(sized, (one, s) => {
    const seen =
      // What is no fault need not be noticed, nor what has no circuit of its own.
      one.fault === undefined ||
      hypotheses[one.hypothesis]!.class === NOTHING ||
      movesOtherwise(one) ||
      tables.some(
        ({ rows, rowOf }) =>
          distance(rows[rowOf[s]!]!, rows[rowOf[one.sound]!]!) > NOTICED_SHARE * nominalVolts,
      );
    return one.weight * (seen ? 1 : UNNOTICED_WEIGHT);
  });
}

/** What happens before the sensor, or at one place of its travel, is not in the answers of the circuit. */
const movesOtherwise = ({ fault }: SizedHypothesis): boolean =>
  fault !== undefined &&
  effectsOf([fault]).some(
    (effect) => effect.on === 'quantity' || (effect.on === 'element' && effect.does === 'dead-spot'),
  );
