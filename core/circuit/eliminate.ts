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
