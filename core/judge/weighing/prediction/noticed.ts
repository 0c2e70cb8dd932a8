import type { MachineState } from '../../../machine/places/index.ts';
import { effectsOf, isOnTheWay } from '../../../machine/fault/index.ts';
import type { Answers, Axis } from './circuitAnswers.ts';
import { distance } from './rows.ts';
import type { CircuitSpot } from './circuitSpot.ts';
import { NOTHING } from '../../priors/index.ts';
import type { Hypothesis } from '../hypotheses/hypothesis.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';

const DRIVING: MachineState = { engine: 'koeo', plug: 'connected' };
/** Of the reference: what shifts an input by less is lost in the spread of sound machines. */
const NOTICED_SHARE = 0.012;
/** The air may have any temperature: a unit wonders only at what is far from it. */
const NOTICED_OF_TEMPERATURE_SHARE = 0.05;
/** A size that the unit never notices brings nobody in, but for other reasons. */
const UNNOTICED_WEIGHT = 0.02;
/** A supply that stands so near its nominal volts is sound, whatever else is wrong. Common practice. */
const SOUND_SUPPLY_VOLTS = 0.145;

/**
 * Weights of the sizes of each hypothesis, by what the control unit notices of them: a complaint or a code brought the machine
 * in, and ohms in a wire without current never made one.
 *
 * @param second what the second signal of the body follows, where it has one
 * @returns by sized hypothesis; those of a hypothesis of which everything is noticed sum to one, less what of it is sound
 */
export function noticedWeights(
  answers: Answers,
  hypotheses: readonly Hypothesis[],
  nominalVolts: number,
  second: Axis | undefined,
): Float64Array {
  const { sized } = answers;
  const secondInput: CircuitSpot = { kind: 'live-volts', lane: 'second-signal' };
  const inputs = [
    { table: answers.at({ kind: 'scan' }, DRIVING), atLeast: NOTICED_SHARE },
    ...(second
      ? [
          {
            table: answers.at(secondInput, DRIVING, second),
            atLeast: second === 'celsius' ? NOTICED_OF_TEMPERATURE_SHARE : NOTICED_SHARE,
          },
        ]
      : []),
  ];
  return Float64Array.from(sized, (one, s) => {
    const seen =
      // What is no fault need not be noticed, nor what has no circuit of its own.
      one.fault === undefined ||
      hypotheses[one.hypothesis]!.class === NOTHING ||
      movesOtherwise(one) ||
      inputs.some(
        ({ table: { rows, rowOf }, atLeast }) =>
          distance(rows[rowOf[s]!]!, rows[rowOf[one.sound]!]!) > atLeast * nominalVolts,
      );
    return isSoundSupply(one, nominalVolts) ? 0 : one.weight * (seen ? 1 : UNNOTICED_WEIGHT);
  });
}

/** Of a supply that may be off by anything, what is no fault. */
const isSoundSupply = ({ fault }: SizedHypothesis, nominalVolts: number): boolean =>
  fault !== undefined &&
  effectsOf([fault]).some(
    (effect) =>
      effect.on === 'rail' &&
      effect.change.volts !== undefined &&
      Math.abs(effect.change.volts - nominalVolts) < SOUND_SUPPLY_VOLTS,
  );

/** What happens before the sensor, or at a part of its travel, is not in the answers of the circuit. */
const movesOtherwise = ({ fault }: SizedHypothesis): boolean =>
  fault !== undefined &&
  effectsOf([fault]).some(
    (effect) => isOnTheWay(effect) || (effect.on === 'element' && effect.does === 'dead-spot'),
  );
