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
export const mistakenProbability = (
  { drive, lists, listOf, floor }: WeighedReading,
  weighed: WeighedCase,
  known: Posterior,
  isMeant: (hypothesis: number) => boolean = () => true,
): number =>
  averaged(drive, weighed, known, isMeant, (s, product, from, to) => {
    const list = lists[listOf[s]!]!;
    let mistaken = 0;
    for (let i = from; i < to; i++) mistaken += (product[i]! * floor) / list[i]!;
    return mistaken;
  });

/** How likely the quantity of a drive is not what is usual there, given everything that was read. */
export function unusualProbability(drive: string, weighed: WeighedCase, known: Posterior): number {
  const usual = weighed.grids.get(drive)?.usual;
  if (usual === undefined) return 0;
  return averaged(
    drive,
    weighed,
    known,
    () => true,
    (_, product, from, to) => {
      let unusual = 0;
      for (let i = from + usual; i < to; i++) unusual += product[i]!;
      return unusual;
    },
  );
}

/**
 * Over all that is still possible, by its share: what part of the readings of a drive something accounts for.
 *
 * @param partOf the sum of that part, between two nodes of what is said of a sized hypothesis
 */
function averaged(
  drive: string,
  { sized, hypotheses }: WeighedCase,
  { sizedSharesIn, ofDrive, shares }: Posterior,
  isMeant: (hypothesis: number) => boolean,
  partOf: (sized: number, product: Float64Array, from: number, to: number) => number,
): number {
  const { products, sums, alikeOf } = ofDrive.get(drive)!;
  const here = sizedSharesIn(drive);
  const total = hypotheses.reduce((sum, _, h) => (isMeant(h) ? sum + shares[h]! : sum), 0);
  let probability = 0;
  for (let k = 0; k < sized.length * T; k++) {
    const share = here[k]!;
    const [s, t] = [Math.floor(k / T), k % T];
    if (share < NEGLIGIBLE * total || !isMeant(sized[s]!.hypothesis)) continue;
    const product = products[alikeOf[s]!]!;
    const nodes = product.length / T;
    probability += (share * partOf(s, product, t * nodes, (t + 1) * nodes)) / sums[alikeOf[s]! * T + t]!;
  }
  return total > 0 ? probability / total : 0;
}
