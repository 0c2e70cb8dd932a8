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

/** What the readings of one drive say of their quantity. */
export interface DriveProducts {
  /** For each sized hypothesis, tolerance and node how likely the readings are together with the node. */
  products: Float64Array;
  /** By sized hypothesis: those with the same number have the same products. */
  alikeOf: Int32Array;
}

const T = TOLERANCES.length;

/**
 * Bayes' rule over all hypotheses: for each, every size, every place of the sensor in its tolerance, and for each drive every
 * quantity, since readings of one drive are of one and the same quantity.
 */
export function posterior({ hypotheses, sized, weights, grids, readings }: WeighedCase): Posterior {
  const logs = new Float64Array(sized.length * T);
  sized.forEach(({ hypothesis }, s) =>
    TOLERANCES.forEach(({ weight: often }, t) => {
      logs[s * T + t] = Math.log(hypotheses[hypothesis]!.prior * weights[s]! * often);
    }),
  );
  const ofDrive = new Map<string, DriveProducts>();
  for (const [drive, group] of byDrive(readings)) {
    const found = productsOf(group, grids.get(drive)!.weights, sized.length);
    const { products } = found;
    const nodes = grids.get(drive)!.weights.length;
    for (let k = 0; k < logs.length; k++) {
      let sum = 0;
      for (let at = k * nodes; at < (k + 1) * nodes; at++) sum += products[at]!;
      logs[k] = logs[k]! + Math.log(sum);
    }
    ofDrive.set(drive, found);
  }
  const most = logs.reduce((a, b) => Math.max(a, b), -Infinity);
  let total = 0;
  const sizedShares = logs.map((log) => {
    const share = Math.exp(log - most);
    total += share;
    return share;
  });
  const shares = new Float64Array(hypotheses.length);
  sizedShares.forEach((share, k) => {
    sizedShares[k] = share / total;
    const { hypothesis } = sized[Math.floor(k / T)]!;
    shares[hypothesis] = shares[hypothesis]! + share / total;
  });
  return { shares, sizedShares, ofDrive };
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

/** Hypotheses that share their lists for every reading of a drive share their products too. */
function productsOf(
  group: readonly WeighedReading[],
  weights: Float64Array,
  sizedCount: number,
): DriveProducts {
  const nodes = weights.length;
  const products = new Float64Array(sizedCount * T * nodes);
  const alikeOf = new Int32Array(sizedCount);
  const before = new Map<string, { number: number; from: number }>();
  for (let s = 0; s < sizedCount; s++) {
    const from = s * T * nodes;
    const lists = group.map(({ listOf }) => listOf[s]!).join(' ');
    const same = before.get(lists);
    if (same !== undefined) {
      products.copyWithin(from, same.from, same.from + T * nodes);
      alikeOf[s] = same.number;
      continue;
    }
    alikeOf[s] = before.size;
    before.set(lists, { number: before.size, from });
    for (let t = 0; t < T; t++) products.set(weights, from + t * nodes);
    for (const { lists: all, listOf } of group) {
      const list = all[listOf[s]!]!;
      for (let i = 0; i < list.length; i++) products[from + i] = products[from + i]! * list[i]!;
    }
  }
  return { products, alikeOf };
}
