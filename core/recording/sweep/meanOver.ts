/** The mean from one sample to another, both with it; what is missing is left out, and where all is, it is NaN. */
export function meanOver(values: Float64Array, from: number, to: number): number {
  let [sum, count] = [0, 0];
  for (let i = from; i <= to; i++) {
    if (Number.isNaN(values[i]!)) continue;
    sum += values[i]!;
    count++;
  }
  return sum / count;
}
