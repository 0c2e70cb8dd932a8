import { TOLERANCES, type DriveProducts, type WeighedCase } from '../hypotheses/weighedCase.ts';

/*
 * What may be of another size in every state of the machine: the readings of one state are summed over its sizes by themselves, so
 * that what one state shows says nothing of the next but that it is there at all.
 */

const T = TOLERANCES.length;

/** Adds to the logarithms of what changes, how likely it makes the readings of one drive. */
export function addDrive(
  logs: Float64Array,
  { changing }: Pick<WeighedCase, 'changing'>,
  { alikeOf, sums }: DriveProducts,
): void {
  for (const { members, often } of changing)
    for (let t = 0; t < T; t++) {
      let sum = 0;
      members.forEach((s, m) => (sum += often[m]! * sums[alikeOf[s]! * T + t]!));
      const log = Math.log(sum);
      for (const s of members) logs[s * T + t] = logs[s * T + t]! + log;
    }
}

/**
 * Shares as they stand in one drive whose readings are known: there what changes has the sizes that its readings show.
 *
 * @param shares by sized hypothesis, then tolerance; of what changes, as in a drive without readings
 */
export function sharesInDrive(
  shares: Float64Array,
  { changing }: Pick<WeighedCase, 'changing'>,
  { alikeOf, sums }: DriveProducts,
): Float64Array {
  const here = shares.slice();
  for (const { members } of changing)
    for (let t = 0; t < T; t++) {
      let all = 0;
      let likely = 0;
      for (const s of members) {
        all += shares[s * T + t]!;
        likely += shares[s * T + t]! * sums[alikeOf[s]! * T + t]!;
      }
      if (likely === 0) continue;
      for (const s of members)
        here[s * T + t] = (shares[s * T + t]! * sums[alikeOf[s]! * T + t]! * all) / likely;
    }
  return here;
}
