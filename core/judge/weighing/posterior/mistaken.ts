import { TOLERANCES, type WeighedCase, type WeighedReading } from '../hypotheses/weighedCase.ts';
import type { Posterior } from './posterior.ts';

const T = TOLERANCES.length;
/** A sized hypothesis below this has no say. */
const NEGLIGIBLE = 1e-6;

/**
 * How likely a reading is not what it is noted as, given everything else.
 *
 * @param isMeant of the hypotheses those that are taken for granted, by number; all of them where left out
 */
export function mistakenProbability(
  { drive, lists, listOf, floor }: WeighedReading,
  { sized, hypotheses }: WeighedCase,
  { sizedSharesIn, ofDrive, shares }: Posterior,
  isMeant: (hypothesis: number) => boolean = () => true,
): number {
  const { products, sums, alikeOf } = ofDrive.get(drive)!;
  const here = sizedSharesIn(drive);
  const total = hypotheses.reduce((sum, _, h) => (isMeant(h) ? sum + shares[h]! : sum), 0);
  let probability = 0;
  for (let k = 0; k < sized.length * T; k++) {
    const share = here[k]!;
    const [s, t] = [Math.floor(k / T), k % T];
    if (share < NEGLIGIBLE * total || !isMeant(sized[s]!.hypothesis)) continue;
    const list = lists[listOf[s]!]!;
    const product = products[alikeOf[s]!]!;
    const nodes = product.length / T;
    let mistaken = 0;
    for (let i = t * nodes; i < (t + 1) * nodes; i++) mistaken += (product[i]! * floor) / list[i]!;
    probability += (share * mistaken) / sums[alikeOf[s]! * T + t]!;
  }
  return total > 0 ? probability / total : 0;
}

/** How likely the quantity of a drive is not what is usual there, given everything that was read. */
export function unusualProbability(
  drive: string,
  { grids, sized }: WeighedCase,
  { sizedSharesIn, ofDrive }: Posterior,
): number {
  const usual = grids.get(drive)?.usual;
  if (usual === undefined) return 0;
  const { products, sums, alikeOf } = ofDrive.get(drive)!;
  const here = sizedSharesIn(drive);
  let probability = 0;
  for (let k = 0; k < sized.length * T; k++) {
    const share = here[k]!;
    if (share < NEGLIGIBLE) continue;
    const [s, t] = [Math.floor(k / T), k % T];
    const product = products[alikeOf[s]!]!;
    const nodes = product.length / T;
    let unusual = 0;
    for (let i = t * nodes + usual; i < (t + 1) * nodes; i++) unusual += product[i]!;
    probability += (share * unusual) / sums[alikeOf[s]! * T + t]!;
  }
  return probability;
}
