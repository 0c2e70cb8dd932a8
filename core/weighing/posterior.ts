import type { Hypothesis } from './hypotheses.ts';
import { TOLERANCES, type WeighedCase, type WeighedReading } from './weighedCase.ts';

export interface WeighedHypothesis {
  hypothesis: Hypothesis;
  /** 0 to 1; the shares of all hypotheses sum to one. */
  share: number;
}

/** What the readings leave: of every hypothesis, of its sizes, and of the quantities that were met. */
export interface Posterior {
  /** By hypothesis, in their own order. */
  shares: Float64Array;
  /** By sized hypothesis, then tolerance; they sum to one. */
  sizedShares: Float64Array;
  ofDrive: ReadonlyMap<string, DriveProducts>;
}

/** What the readings of one drive say of their quantity; sized hypotheses of which they say the same share it. */
export interface DriveProducts {
  /** By sized hypothesis: the number of what is said of it. */
  alikeOf: Int32Array;
  /** By that number: along tolerances and nodes how likely the readings are together with the node. */
  products: readonly Float64Array[];
  /** By that number, then tolerance: the same over all nodes. */
  sums: Float64Array;
}

const T = TOLERANCES.length;
const LOG_TOLERANCES = TOLERANCES.map(({ weight }) => Math.log(weight));

/**
 * Bayes' rule over all hypotheses: for each, every size, every place of the sensor in its tolerance, and for each drive every
 * quantity, since readings of one drive are of one and the same quantity.
 */
export function posterior({ hypotheses, sized, weights, grids, readings }: WeighedCase): Posterior {
  const logs = new Float64Array(sized.length * T);
  const logPriors = hypotheses.map(({ prior }) => Math.log(prior));
  for (let s = 0; s < sized.length; s++) {
    const own = logPriors[sized[s]!.hypothesis]! + Math.log(weights[s]!);
    for (let t = 0; t < T; t++) logs[s * T + t] = own + LOG_TOLERANCES[t]!;
  }
  const ofDrive = new Map<string, DriveProducts>();
  for (const [drive, group] of byDrive(readings)) {
    const found = productsOf(group, grids.get(drive)!.weights, sized.length);
    const { alikeOf, sums } = found;
    const logSums = sums.map(Math.log);
    for (let s = 0; s < sized.length; s++)
      for (let t = 0; t < T; t++) logs[s * T + t] = logs[s * T + t]! + logSums[alikeOf[s]! * T + t]!;
    ofDrive.set(drive, found);
  }
  return { ...sharesFrom(logs, sized, hypotheses.length), ofDrive };
}

function sharesFrom(
  logs: Float64Array,
  sized: WeighedCase['sized'],
  hypothesisCount: number,
): Pick<Posterior, 'shares' | 'sizedShares'> {
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

function productsOf(
  group: readonly WeighedReading[],
  weights: Float64Array,
  sizedCount: number,
): DriveProducts {
  const { alikeOf, firsts } = alike(group, sizedCount);
  const nodes = weights.length;
  const sums = new Float64Array(firsts.length * T);
  const products = firsts.map((first, number) => {
    const product = new Float64Array(T * nodes);
    for (let t = 0; t < T; t++) product.set(weights, t * nodes);
    for (const { lists, listOf } of group) {
      const list = lists[listOf[first]!]!;
      for (let i = 0; i < product.length; i++) product[i] = product[i]! * list[i]!;
    }
    for (let t = 0; t < T; t++) {
      let sum = 0;
      for (let i = t * nodes; i < (t + 1) * nodes; i++) sum += product[i]!;
      sums[number * T + t] = sum;
    }
    return product;
  });
  return { alikeOf, products, sums };
}

/** Those that share their lists for every reading of a drive get one number; and the first of each. */
function alike(
  group: readonly WeighedReading[],
  sizedCount: number,
): { alikeOf: Int32Array; firsts: number[] } {
  const alikeOf = new Int32Array(sizedCount);
  let firsts = [0];
  for (const { lists, listOf } of group) {
    const numbers = new Map<number, number>();
    firsts = [];
    for (let s = 0; s < sizedCount; s++) {
      const key = alikeOf[s]! * lists.length + listOf[s]!;
      let number = numbers.get(key);
      if (number === undefined) {
        number = firsts.push(s) - 1;
        numbers.set(key, number);
      }
      alikeOf[s] = number;
    }
  }
  return { alikeOf, firsts };
}
