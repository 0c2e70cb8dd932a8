import type { LineSeen } from '../../checks/index.ts';
import { effectsOf } from '../../../machine/fault/index.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';
import { TOLERANCES, type WeighedReading } from '../hypotheses/weighedCase.ts';

export const TELEGRAM_DRIVE = 'telegrams';

/** Frames with a right checksum are no accident; a line that no digital part drives has none. */
const ARRIVE_FROM_DIGITAL = 0.97;
const ARRIVE_FROM_ANALOGUE = 0.0005;
/** A sensor with a fault that is on no list may be any part. */
const ARRIVE_FROM_UNLISTED = 0.02;

/** How likely that is for one thing that may be wrong, while the sensor is fed and its wires are whole. */
export function lineLikelihood(seen: LineSeen, { fault }: SizedHypothesis, isUnlisted: boolean): number {
  const isDigital =
    fault !== undefined &&
    effectsOf([fault]).some((effect) => effect.on === 'element' && effect.does === 'digital');
  const arrive = isDigital ? ARRIVE_FROM_DIGITAL : isUnlisted ? ARRIVE_FROM_UNLISTED : ARRIVE_FROM_ANALOGUE;
  return seen === 'telegrams' ? arrive : 1 - arrive;
}

/** By the circuit of a sensor that sends telegrams, whether they should arrive: so often they do, and do not. */
const AS_THE_CIRCUIT_SAYS = 0.99;
/** What is on no list may let them through or not. */
const EITHER = 0.5;

/** The same where the sensor is known to send them: then what arrives, or does not, tells of its supply, its wires and its electronics. */
export function sentLikelihood(seen: LineSeen, arrive: boolean, isUnlisted: boolean): number {
  if (isUnlisted) return EITHER;
  return (seen === 'telegrams') === arrive ? AS_THE_CIRCUIT_SAYS : 1 - AS_THE_CIRCUIT_SAYS;
}

/** The capture as a reading: it tells which kind of part it is, whatever the quantity was. */
export function lineReading(
  sized: readonly SizedHypothesis[],
  likelihoodOf: (one: SizedHypothesis, sized: number) => number,
): WeighedReading {
  const numbers = new Map<number, number>();
  const lists: Float64Array[] = [];
  const listOf = Int32Array.from(sized, (one, s) => {
    const likelihood = likelihoodOf(one, s);
    const known =
      numbers.get(likelihood) ?? lists.push(new Float64Array(TOLERANCES.length).fill(likelihood)) - 1;
    numbers.set(likelihood, known);
    return known;
  });
  return { id: TELEGRAM_DRIVE, drive: TELEGRAM_DRIVE, lists, listOf, floor: 0 };
}
