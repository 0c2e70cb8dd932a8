/** How the two tracks of a position sensor belong together. */
export type PairLaw =
  | { law: 'mirrored' }
  /** Track 1 is `ratio` times track 2, plus an offset. */
  | { law: 'ratio'; ratio: number; offsetVolts: number };

export interface PairDeviation {
  /** What track 2 should read, from track 1. */
  expectedSecondVolts: number;
  /** Track 2 less what it should read. */
  deviationVolts: number;
  /** The deviation as a share of the reference, so that pairs on different references compare. */
  deviationPercentOfReference: number;
}

/** Common practice: control units call a pair implausible from a few per cent of the reference on. The sensor may say another limit. */
export const PAIR_LIMIT_PERCENT_OF_REFERENCE = 4;

/** Two tracks read at the same moment, each against its own return and in one supply. */
export function pairDeviation(
  firstVolts: number,
  secondVolts: number,
  referenceVolts: number,
  pair: PairLaw,
): PairDeviation {
  const expectedSecondVolts =
    pair.law === 'mirrored' ? referenceVolts - firstVolts : (firstVolts - pair.offsetVolts) / pair.ratio;
  const deviationVolts = secondVolts - expectedSecondVolts;
  return {
    expectedSecondVolts,
    deviationVolts,
    deviationPercentOfReference: (100 * deviationVolts) / referenceVolts,
  };
}
