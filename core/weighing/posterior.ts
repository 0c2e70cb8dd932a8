import type { Hypothesis } from './hypotheses.ts';
import { TOLERANCES, type WeighedCase, type WeighedReading } from './weighedCase.ts';

export interface WeighedHypothesis {
  hypothesis: Hypothesis;
  /** 0 to 1; the shares of all hypotheses sum to one. */
  share: number;
}

/**
 * Bayes' rule over all hypotheses: for each, every size, every place of the sensor in its tolerance, and for each drive every
 * quantity, since readings of one drive are of one and the same quantity.
 */
export function posterior({ hypotheses, grids, readings }: WeighedCase): WeighedHypothesis[] {
  const byDrive = new Map<string, WeighedReading[]>();
  for (const reading of readings)
    byDrive.set(reading.drive, [...(byDrive.get(reading.drive) ?? []), reading]);
  const logs = hypotheses.map(({ sizes, prior }, h) => {
    const terms: number[] = [];
    sizes.forEach((_, size) =>
      TOLERANCES.forEach(({ weight }, tolerance) => {
        let log = Math.log(weight / sizes.length);
        for (const [drive, group] of byDrive) {
          const { weights } = grids.get(drive)!;
          let sum = 0;
          for (let node = 0; node < weights.length; node++) {
            let product = weights[node]!;
            for (const { likelihood } of group) product *= likelihood(h, size, node, tolerance);
            sum += product;
          }
          log += Math.log(sum);
        }
        terms.push(log);
      }),
    );
    return Math.log(prior) + logSum(terms);
  });
  const total = logSum(logs);
  return hypotheses
    .map((hypothesis, h) => ({ hypothesis, share: Math.exp(logs[h]! - total) }))
    .sort((a, b) => b.share - a.share);
}

function logSum(logs: readonly number[]): number {
  const most = Math.max(...logs);
  return most === -Infinity
    ? most
    : most + Math.log(logs.reduce((sum, log) => sum + Math.exp(log - most), 0));
}
