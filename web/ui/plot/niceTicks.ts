/** Round numbers, 1, 2 or 5 of a decade apart, that lie between two ends. */
export function niceTicks(low: number, high: number, most: number): number[] {
  const span = high - low;
  if (!(span > 0)) return [low];
  const decade = 10 ** Math.floor(Math.log10(span / most));
  const step = [1, 2, 5, 10].map((factor) => factor * decade).find((one) => span / one <= most) ?? span;
  const first = Math.ceil(low / step - 1e-9);
  const last = Math.floor(high / step + 1e-9);
  return Array.from({ length: last - first + 1 }, (_, i) => Number(((first + i) * step).toPrecision(12)));
}

/** Enlarged further, and what stands still would look like a storm of its own last digits. */
const LEAST_SPAN: Record<string, number> = { V: 0.2, '%': 2 };

/** The lowest and highest of a plot, with a little room, so that a line along an edge is seen. */
export function roomyDomain(lowest: number, highest: number, unit = ''): [number, number] {
  const span = highest - lowest;
  const room =
    Math.max(0.06 * span, ((LEAST_SPAN[unit] ?? 0) - span) / 2) || Math.max(0.01, 0.05 * Math.abs(highest));
  return [lowest - room, highest + room];
}
