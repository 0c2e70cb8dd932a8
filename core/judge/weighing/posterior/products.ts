import { floats } from '../blocks.ts';
import type { QuantityGrid } from '../hypotheses/quantityGrid.ts';
import {
  TOLERANCES,
  type DriveProducts,
  type ProductsKept,
  type Unsummed,
  type WeighedReading,
} from '../hypotheses/weighedCase.ts';

const T = TOLERANCES.length;

/** Of all readings of one drive. */
export function productsOf(
  drive: string,
  group: readonly WeighedReading[],
  { weights }: QuantityGrid,
  sizedCount: number,
  kept: ProductsKept | undefined,
): DriveProducts {
  const before = kept?.get(drive);
  const goesOn =
    before !== undefined &&
    before.group.length <= group.length &&
    before.group.every(({ lists }, i) => lists === group[i]!.lists);
  let found: Unsummed = goesOn
    ? before.found
    : { alikeOf: new Int32Array(sizedCount), firsts: [0], products: [forEachTolerance(weights)] };
  for (const reading of group.slice(goesOn ? before.group.length : 0)) found = times(found, reading);
  kept?.set(drive, { group, found });
  return { ...found, sums: sumsOf(found.products) };
}

function times({ alikeOf: before, products }: Unsummed, { lists, listOf }: WeighedReading): Unsummed {
  const alikeOf = new Int32Array(before.length);
  const firsts: number[] = [];
  const found: Float64Array[] = [];
  const numbers = new Map<number, number>();
  for (let s = 0; s < alikeOf.length; s++) {
    const key = before[s]! * lists.length + listOf[s]!;
    let number = numbers.get(key);
    if (number === undefined) {
      number = firsts.push(s) - 1;
      numbers.set(key, number);
      const soFar = products[before[s]!]!;
      const list = lists[listOf[s]!]!;
      const product = floats(soFar.length);
      for (let i = 0; i < product.length; i++) product[i] = soFar[i]! * list[i]!;
      found.push(product);
    }
    alikeOf[s] = number;
  }
  return { alikeOf, firsts, products: found };
}

function forEachTolerance(weights: Float64Array): Float64Array {
  const all = new Float64Array(T * weights.length);
  for (let t = 0; t < T; t++) all.set(weights, t * weights.length);
  return all;
}

function sumsOf(products: readonly Float64Array[]): Float64Array {
  const sums = new Float64Array(products.length * T);
  products.forEach((product, number) => {
    const nodes = product.length / T;
    for (let t = 0; t < T; t++) {
      let sum = 0;
      for (let i = t * nodes; i < (t + 1) * nodes; i++) sum += product[i]!;
      sums[number * T + t] = sum;
    }
  });
  return sums;
}

/**
 * By what the sums change without one of the readings; of what `matters` alone. No likelihood is nothing, so that it divides
 * out.
 */
export function factorsWithout(
  { firsts, products, sums }: DriveProducts,
  { lists, listOf }: WeighedReading,
  matters: (alike: number) => boolean,
): Float64Array {
  const factors = new Float64Array(products.length * T).fill(1);
  products.forEach((product, number) => {
    if (!matters(number)) return;
    const list = lists[listOf[firsts[number]!]!]!;
    const nodes = product.length / T;
    for (let t = 0; t < T; t++) {
      let sum = 0;
      for (let i = t * nodes; i < (t + 1) * nodes; i++) sum += product[i]! / list[i]!;
      // What the readings have ruled out beyond all numbers stays so.
      if (sums[number * T + t]! > 0) factors[number * T + t] = sum / sums[number * T + t]!;
    }
  });
  return factors;
}
