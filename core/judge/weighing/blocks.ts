/*
 * Room for rows of numbers. A typed array of its own costs ten times what it takes to fill the forty numbers of a row, and a weighing
 * keeps some hundred thousand rows: they are cut from large blocks instead. A block is given up when no row of it is in use.
 */

const BLOCK_LENGTH = 1 << 15;

interface Kind<Numbers> {
  new (length: number): Numbers & { subarray(from: number, to: number): Numbers };
}

function blocksOf<Numbers>(kind: Kind<Numbers>): (length: number) => Numbers {
  let block = new kind(BLOCK_LENGTH);
  let used = 0;
  return (length) => {
    if (length > BLOCK_LENGTH) return new kind(length);
    if (used + length > BLOCK_LENGTH) {
      block = new kind(BLOCK_LENGTH);
      used = 0;
    }
    used += length;
    return block.subarray(used - length, used);
  };
}

/** So many zeros, to be written over and kept; never to be sent anywhere, since their whole block would go along. */
export const floats = blocksOf<Float64Array>(Float64Array);
export const shorts = blocksOf<Int16Array>(Int16Array);
