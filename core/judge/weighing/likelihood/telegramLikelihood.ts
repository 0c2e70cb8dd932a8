import type { LineSeen } from '../../checks/index.ts';
import { effectsOf } from '../../../machine/fault/index.ts';
import type { SentIn } from '../../../measure/transfer/index.ts';
import type { Hypothesis } from '../hypotheses/hypothesis.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';
import { TOLERANCES, type WeighedReading } from '../hypotheses/weighedCase.ts';

export const TELEGRAM_DRIVE = 'telegrams';

/** Frames with a right checksum are no accident; a line that no digital part drives has none. */
const ARRIVE_FROM_DIGITAL = 0.97;
const ARRIVE_FROM_ANALOGUE = 0.0005;
/** A sensor with a fault that is on no list may be any part. */
const ARRIVE_FROM_UNLISTED = 0.02;

/**
 * A steady rate has no checksum: what runs beside a wire, or touches it, toggles as well, so that it tells far less of the part (our own
 * judgement).
 */
const STEADY_FROM_DIGITAL = 0.3;
const STEADY_FROM_ANALOGUE = 0.02;
const STEADY_FROM_UNLISTED = 0.1;

/** How likely that is for one thing that may be wrong, while the sensor is fed and its wires are whole. */
export function lineLikelihood(seen: LineSeen, { fault }: SizedHypothesis, isUnlisted: boolean): number {
  const isDigital =
    fault !== undefined &&
    effectsOf([fault]).some((effect) => effect.on === 'element' && effect.does === 'digital');
  if (seen === 'pulses')
    return isDigital ? STEADY_FROM_DIGITAL : isUnlisted ? STEADY_FROM_UNLISTED : STEADY_FROM_ANALOGUE;
  const arrive = isDigital ? ARRIVE_FROM_DIGITAL : isUnlisted ? ARRIVE_FROM_UNLISTED : ARRIVE_FROM_ANALOGUE;
  return seen === 'line-held' ? 1 - arrive : arrive;
}

/** What a capture of a line may show that a value should be sent on. */
type SentSeen = 'as-sent' | 'otherwise' | 'garbled' | 'held';

/** How often it shows what; judgements, since nobody has counted them. */
const SHOWN: Record<
  'arrives' | 'held-or-dead' | 'other-part' | 'unlisted-sensor' | 'unlisted',
  Record<SentSeen, number>
> = {
  arrives: { 'as-sent': 0.985, otherwise: 0.001, garbled: 0.004, held: 0.01 },
  // A dead line picks up what runs beside it.
  'held-or-dead': { 'as-sent': 0.01, otherwise: 0.01, garbled: 0.01, held: 0.97 },
  'other-part': { 'as-sent': 0.01, otherwise: 0.5, garbled: 0.09, held: 0.4 },
  // Electronics that fail in no known way may send anything.
  'unlisted-sensor': { 'as-sent': 0.4, otherwise: 0.02, garbled: 0.28, held: 0.3 },
  unlisted: { 'as-sent': 0.45, otherwise: 0.005, garbled: 0.095, held: 0.45 },
};

/**
 * The same where the sensor is known to send its value: then what arrives, or does not, tells of its supply, its wires and its
 * electronics.
 *
 * @param arrives whether it should, by the circuit with this thing wrong
 */
export function sentLikelihood(
  seen: LineSeen,
  sends: SentIn,
  arrives: boolean,
  { unlisted, kind }: Pick<Hypothesis, 'unlisted' | 'kind'>,
): number {
  const shown =
    unlisted !== undefined
      ? SHOWN[unlisted === 'sensor' ? 'unlisted-sensor' : 'unlisted']
      : SHOWN[kind?.id === 'other-output' ? 'other-part' : arrives ? 'arrives' : 'held-or-dead'];
  return shown[
    seen === 'line-held' ? 'held' : seen === 'garbled' ? seen : seen === sends ? 'as-sent' : 'otherwise'
  ];
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
