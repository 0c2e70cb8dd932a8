import type { Hypothesis } from '../hypotheses/hypotheses.ts';
import { addDrive, sharesInDrive } from './anew.ts';
import { productsOf } from './products.ts';
import {
  TOLERANCES,
  type DriveProducts,
  type WeighedCase,
  type WeighedReading,
} from '../hypotheses/weighedCase.ts';

export interface WeighedHypothesis {
  hypothesis: Hypothesis;
  /** 0 to 1; the shares of all hypotheses sum to one. */
  share: number;
}

/** What the readings leave: of every hypothesis, of its sizes, and of the quantities that were met. */
export interface Posterior {
  /** By hypothesis, in their own order. */
  shares: Float64Array;
  /**
   * By sized hypothesis, then tolerance; they sum to one. What changes its size from state to state has those that the readings
   * of the drive show.
   */
  sizedSharesIn(drive: string): Float64Array;
  ofDrive: ReadonlyMap<string, DriveProducts>;
}

export const T = TOLERANCES.length;
/** What has a smaller share than this comes back by no single reading: none speaks louder than a hundred thousand to one. */
export const RULED_OUT = 1e-15;
const LOG_TOLERANCES = TOLERANCES.map(({ weight }) => Math.log(weight));

/**
 * Bayes' rule over all hypotheses: for each, every size, every place of the sensor in its tolerance, and for each drive every
 * quantity, since readings of one drive are of one and the same quantity.
 */
export function posterior(weighed: WeighedCase): Posterior {
  const { hypotheses, sized, weights, grids, readings, kept, changing } = weighed;
  const logs = new Float64Array(sized.length * T);
  const logPriors = hypotheses.map(({ prior }) => Math.log(prior));
  const logWeights = weights.map(Math.log);
  for (const { members, often, weight } of changing)
    members.forEach((s, m) => (logWeights[s] = Math.log(weight * often[m]!)));
  for (let s = 0; s < sized.length; s++) {
    const own = logPriors[sized[s]!.hypothesis]! + logWeights[s]!;
    for (let t = 0; t < T; t++) logs[s * T + t] = own + LOG_TOLERANCES[t]!;
  }
  const changes = new Uint8Array(sized.length);
  for (const { members } of changing) for (const s of members) changes[s] = 1;
  const ofDrive = new Map<string, DriveProducts>();
  for (const [drive, group] of byDrive(readings)) {
    const found = productsOf(drive, group, grids.get(drive)!, sized.length, kept);
    const { alikeOf, sums } = found;
    const logSums = sums.map(Math.log);
    for (let s = 0; s < sized.length; s++) {
      if (changes[s]) continue;
      for (let t = 0; t < T; t++) logs[s * T + t] = logs[s * T + t]! + logSums[alikeOf[s]! * T + t]!;
    }
    addDrive(logs, weighed, found);
    ofDrive.set(drive, found);
  }
  const { shares, sizedShares } = sharesFrom(logs, sized, hypotheses.length);
  const inDrives = new Map<string, Float64Array>();
  const sizedSharesIn = (drive: string): Float64Array => {
    const found = ofDrive.get(drive);
    if (!found) return sizedShares;
    const here = inDrives.get(drive) ?? sharesInDrive(sizedShares, weighed, found);
    inDrives.set(drive, here);
    return here;
  };
  return { shares, sizedSharesIn, ofDrive };
}

function sharesFrom(
  logs: Float64Array,
  sized: WeighedCase['sized'],
  hypothesisCount: number,
): { shares: Float64Array; sizedShares: Float64Array } {
  let most = -Infinity;
  for (let k = 0; k < logs.length; k++) if (logs[k]! > most) most = logs[k]!;
  let total = 0;
  const sizedShares = new Float64Array(logs.length);
  for (let k = 0; k < logs.length; k++) total += sizedShares[k] = Math.exp(logs[k]! - most);
  const shares = new Float64Array(hypothesisCount);
  for (let s = 0; s < sized.length; s++) {
    const { hypothesis } = sized[s]!;
    for (let t = 0; t < T; t++) {
      const share = (sizedShares[s * T + t] = sizedShares[s * T + t]! / total);
      shares[hypothesis] = shares[hypothesis]! + share;
    }
  }
  return { shares, sizedShares };
}

/** The hypotheses by their shares, the likeliest first. */
export const ranked = (hypotheses: readonly Hypothesis[], { shares }: Posterior): WeighedHypothesis[] =>
  hypotheses.map((hypothesis, h) => ({ hypothesis, share: shares[h]! })).sort((a, b) => b.share - a.share);

function byDrive(readings: readonly WeighedReading[]): Map<string, WeighedReading[]> {
  const groups = new Map<string, WeighedReading[]>();
  for (const reading of readings) {
    const group = groups.get(reading.drive);
    if (group) group.push(reading);
    else groups.set(reading.drive, [reading]);
  }
  return groups;
}
