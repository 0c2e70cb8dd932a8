/**
 * Solves the node equations of a network in place, by elimination without subtractions on the diagonal.
 *
 * In every row the conductances sum to zero once the datum has a column of its own, before elimination and after each
 * step. A diagonal is therefore never stored but summed up from its row when its turn comes (Grassmann, Taksar and Heyman,
 * 1985): a leak of a nanosiemens beside a wire of a thousand siemens keeps all its digits, where the usual elimination
 * would lose them and let a floating wire drift.
 *
 * @param rows     `size` rows of `size + 2` numbers: the matrix, the datum's column, and the currents into each node
 * @param volts    receives the voltage of each unknown against the datum
 * @returns false where a point is left without a voltage of its own
 */
export function eliminate(rows: Float64Array, size: number, volts: Float64Array): boolean {
  const width = size + 2;
  for (let k = 0; k < size; k++) {
    const top = k * width;
    let others = 0;
    for (let c = k + 1; c <= size; c++) others += rows[top + c]!;
    if (!(others < 0)) return false;
    rows[top + k] = -others;
    for (let r = k + 1; r < size; r++) {
      const row = r * width;
      const below = rows[row + k]!;
      if (below === 0) continue;
      const factor = below / others;
      for (let c = k + 1; c < width; c++) rows[row + c] = rows[row + c]! + factor * rows[top + c]!;
    }
  }
  for (let k = size - 1; k >= 0; k--) {
    const row = k * width;
    let sum = rows[row + size + 1]!;
    for (let c = k + 1; c < size; c++) sum -= rows[row + c]! * volts[c]!;
    volts[k] = sum / rows[row + k]!;
  }
  return true;
}

/** A pivot smaller than this share of its row's largest entry is what rounding has left of nothing. */
const SINGULAR_SHARE = 1e-13;

/**
 * The same by rows exchanged for the largest pivot, for what `eliminate` cannot do: a stage that feeds the point it is supplied
 * from can turn the sign of a diagonal. Leaks beside wires lose digits here, so that it comes second.
 *
 * @param rows as for `eliminate`, laid out anew
 */
export function eliminateByPivots(rows: Float64Array, size: number, volts: Float64Array): boolean {
  const width = size + 2;
  const scale = new Float64Array(size);
  for (let r = 0; r < size; r++) {
    let others = 0;
    let largest = 0;
    for (let c = 0; c <= size; c++) {
      if (c === r) continue;
      others += rows[r * width + c]!;
      largest = Math.max(largest, Math.abs(rows[r * width + c]!));
    }
    rows[r * width + r] = -others;
    scale[r] = largest;
  }
  for (let k = 0; k < size; k++) {
    let best = k;
    for (let r = k + 1; r < size; r++)
      if (Math.abs(rows[r * width + k]!) / scale[r]! > Math.abs(rows[best * width + k]!) / scale[best]!)
        best = r;
    if (!(Math.abs(rows[best * width + k]!) > SINGULAR_SHARE * scale[best]!)) return false;
    if (best !== k) exchange(rows, scale, best, k, width);
    for (let r = k + 1; r < size; r++) {
      const factor = rows[r * width + k]! / rows[k * width + k]!;
      if (factor === 0) continue;
      for (let c = k; c < width; c++)
        rows[r * width + c] = rows[r * width + c]! - factor * rows[k * width + c]!;
    }
  }
  for (let k = size - 1; k >= 0; k--) {
    let sum = rows[k * width + size + 1]!;
    for (let c = k + 1; c < size; c++) sum -= rows[k * width + c]! * volts[c]!;
    volts[k] = sum / rows[k * width + k]!;
  }
  return true;
}

function exchange(rows: Float64Array, scale: Float64Array, a: number, b: number, width: number): void {
  for (let c = 0; c < width; c++) {
    const kept = rows[a * width + c]!;
    rows[a * width + c] = rows[b * width + c]!;
    rows[b * width + c] = kept;
  }
  const kept = scale[a]!;
  scale[a] = scale[b]!;
  scale[b] = kept;
}
