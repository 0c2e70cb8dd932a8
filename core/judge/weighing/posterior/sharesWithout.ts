import { factorsWithout } from './products.ts';
import { type WeighedCase, type WeighedReading } from '../hypotheses/weighedCase.ts';
import { type Posterior, T, RULED_OUT } from './posterior.ts';

/** Shares of the hypotheses as they would be without one of the readings. */
export function sharesWithout(
  reading: WeighedReading,
  { sizedSharesIn, ofDrive }: Posterior,
  { hypotheses, sized }: WeighedCase,
): Float64Array {
  const known = ofDrive.get(reading.drive)!;
  const { alikeOf } = known;
  const sizedShares = sizedSharesIn(reading.drive);
  const ofAlike = new Float64Array(known.products.length);
  for (let k = 0; k < sizedShares.length; k++) {
    const alike = alikeOf[Math.floor(k / T)]!;
    ofAlike[alike] = ofAlike[alike]! + sizedShares[k]!;
  }
  const factors = factorsWithout(known, reading, (alike) => ofAlike[alike]! > RULED_OUT);
  const shares = new Float64Array(hypotheses.length);
  let total = 0;
  for (let s = 0; s < sized.length; s++) {
    let share = 0;
    for (let t = 0; t < T; t++) share += sizedShares[s * T + t]! * factors[alikeOf[s]! * T + t]!;
    total += share;
    shares[sized[s]!.hypothesis] = shares[sized[s]!.hypothesis]! + share;
  }
  return shares.map((share) => share / total);
}
