import {
  pairDeviation,
  PAIR_LIMIT_PERCENT_OF_REFERENCE,
  type PairLaw,
} from '../../measure/positionPair/index.ts';

/** How two tracks belong together over a sweep. */
export interface PairOverSweep {
  worstPercentOfReference: number;
  /** Sample of the worst point. */
  worstAt: number;
  /** Stretches in which the deviation is past its limit, by first and last sample. */
  outside: { from: number; to: number; worstPercentOfReference: number; worstAt: number }[];
}

export interface PairSettings {
  limitPercentOfReference?: number;
  /** A pair is read one after the other: fewer samples than this in a row are no deviation. */
  leastSamples?: number;
}

/** Deviation of track 2 from what track 1 says, sample by sample; where either is missing nothing is said. */
export function pairOverSweep(
  first: Float64Array,
  second: Float64Array,
  referenceVolts: number,
  pair: PairLaw,
  { limitPercentOfReference = PAIR_LIMIT_PERCENT_OF_REFERENCE, leastSamples = 2 }: PairSettings = {},
): PairOverSweep {
  const result: PairOverSweep = { worstPercentOfReference: 0, worstAt: 0, outside: [] };
  let open: PairOverSweep['outside'][number] | undefined;
  const close = () => {
    if (open && open.to - open.from + 1 >= leastSamples) result.outside.push(open);
    open = undefined;
  };
  for (let i = 0; i < first.length; i++) {
    const percent = pairDeviation(first[i]!, second[i]!, referenceVolts, pair).deviationPercentOfReference;
    if (Number.isNaN(percent)) continue;
    if (Math.abs(percent) > Math.abs(result.worstPercentOfReference)) {
      result.worstPercentOfReference = percent;
      result.worstAt = i;
    }
    if (Math.abs(percent) <= limitPercentOfReference) {
      close();
      continue;
    }
    open ??= { from: i, to: i, worstPercentOfReference: percent, worstAt: i };
    open.to = i;
    if (Math.abs(percent) > Math.abs(open.worstPercentOfReference)) {
      open.worstPercentOfReference = percent;
      open.worstAt = i;
    }
  }
  close();
  return result;
}
