import type { CaseFile } from '../../checks/index.ts';
import { effectsOf } from '../../../machine/fault/index.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';
import { TOLERANCES, type WeighedReading } from '../hypotheses/weighedCase.ts';

export const TELEGRAM_DRIVE = 'telegrams';

/** What a capture fast enough for telegrams showed of the signal: that they arrive, or that the line stands at one voltage. */
export type LineSeen = 'telegrams' | 'line-held';

/** Frames with a right checksum are no accident; a line that no digital part drives has none. */
const ARRIVE_FROM_DIGITAL = 0.97;
const ARRIVE_FROM_ANALOGUE = 0.0005;
/** A sensor with a fault that is on no list may be any part. */
const ARRIVE_FROM_UNLISTED = 0.02;

/** Of all captures together: once telegrams arrived, the part is one that sends them. Undefined where none was fast enough. */
export function lineSeen({ sweeps }: Pick<CaseFile, 'sweeps'>): LineSeen | undefined {
  const shown = sweeps
    .filter(({ uses }) => uses.includes('signal'))
    .flatMap(({ findings, uses }) => findings.filter(({ channel }) => uses[channel] === 'signal'));
  return (['telegrams', 'line-held'] as const).find((seen) => shown.some(({ kind }) => kind === seen));
}

/** How likely that is for one thing that may be wrong, while the sensor is fed and its wires are whole. */
export function lineLikelihood(seen: LineSeen, { fault }: SizedHypothesis, isUnlisted: boolean): number {
  const isDigital =
    fault !== undefined &&
    effectsOf([fault]).some((effect) => effect.on === 'element' && effect.does === 'digital');
  const arrive = isDigital ? ARRIVE_FROM_DIGITAL : isUnlisted ? ARRIVE_FROM_UNLISTED : ARRIVE_FROM_ANALOGUE;
  return seen === 'telegrams' ? arrive : 1 - arrive;
}

/** The capture as a reading: it tells which kind of part it is, whatever the quantity was. */
export function lineReading(
  seen: LineSeen,
  sized: readonly SizedHypothesis[],
  isUnlisted: (hypothesis: number) => boolean,
): WeighedReading {
  const numbers = new Map<number, number>();
  const lists: Float64Array[] = [];
  const listOf = Int32Array.from(sized, (one) => {
    const likelihood = lineLikelihood(seen, one, isUnlisted(one.hypothesis));
    const known =
      numbers.get(likelihood) ?? lists.push(new Float64Array(TOLERANCES.length).fill(likelihood)) - 1;
    numbers.set(likelihood, known);
    return known;
  });
  return { id: TELEGRAM_DRIVE, drive: TELEGRAM_DRIVE, lists, listOf, floor: 0 };
}
