/** The lowest and highest of one channel in every column of another: a plot of value against value with nothing left out. */
export interface Against {
  fromX: number;
  toX: number;
  lowest: Float64Array;
  highest: Float64Array;
}

/** Columns of equal width over the range of `x`; NaN where no sample fell. Undefined where x never moves. */
export function against(x: Float64Array, y: Float64Array, columns: number): Against | undefined {
  let [fromX, toX] = [Infinity, -Infinity];
  for (const value of x) {
    if (value < fromX) fromX = value;
    if (value > toX) toX = value;
  }
  if (!(toX > fromX)) return undefined;
  const lowest = new Float64Array(columns).fill(NaN);
  const highest = new Float64Array(columns).fill(NaN);
  for (let i = 0; i < x.length; i++) {
    const value = y[i]!;
    if (Number.isNaN(value) || Number.isNaN(x[i]!)) continue;
    const column = Math.min(columns - 1, Math.floor(((x[i]! - fromX) / (toX - fromX)) * columns));
    if (!(lowest[column]! <= value)) lowest[column] = value;
    if (!(highest[column]! >= value)) highest[column] = value;
  }
  return { fromX, toX, lowest, highest };
}
