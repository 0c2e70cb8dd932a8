/** The few samples on their way between down and up belong to neither. */
const QUANTILE = 0.02;

/** Where a line stands down and up, in volts; NaN where nothing was recorded. */
export function levelsOf(volts: Float64Array): { low: number; high: number; isTwoLevels: boolean } {
  const values = volts.filter(Number.isFinite).sort();
  if (values.length === 0) return { low: NaN, high: NaN, isTwoLevels: false };
  const at = (share: number) => values[Math.min(values.length - 1, Math.floor(share * values.length))]!;
  const [lowest, highest] = [values[0]!, values.at(-1)!];
  let middle = 0;
  while (middle < values.length && values[middle] === lowest) middle++;
  const isTwoLevels = highest > lowest && values[middle] === highest;
  return isTwoLevels
    ? { low: lowest, high: highest, isTwoLevels }
    : { low: at(QUANTILE), high: at(1 - QUANTILE), isTwoLevels };
}

/** Every sample is another level than the one before it: a logic capture writes nothing else down. */
export function isOnlyChanges(volts: Float64Array): boolean {
  for (let i = 2; i < volts.length; i++) if (volts[i] === volts[i - 1]) return false;
  return volts.length > 2;
}

/** The usual time between two samples, in seconds; 0 where there are not two. */
export function medianStep(seconds: Float64Array): number {
  const steps = Float64Array.from(
    { length: Math.min(seconds.length - 1, MOST_STEPS) },
    (_, i) => seconds[i + 1]! - seconds[i]!,
  ).sort();
  return steps[steps.length >> 1] ?? 0;
}
const MOST_STEPS = 1001;

/** Over whole periods, from falling edge to falling edge. */
export function upShareOf(moments: Float64Array, falls: number): number {
  let [up, all] = [0, 0];
  for (let i = falls; i + 2 < moments.length; i += 2) {
    up += moments[i + 2]! - moments[i + 1]!;
    all += moments[i + 2]! - moments[i]!;
  }
  return up / all;
}

/** A sender holds the line down for the same time in every pulse, and up for what it has to say. */
export function isUpsideDown(moments: Float64Array, falls: number): boolean {
  const spread = (begin: number): number => {
    let [sum, squares, count] = [0, 0, 0];
    for (let i = begin; i + 1 < moments.length && count < MOST_STEPS; i += 2) {
      const length = moments[i + 1]! - moments[i]!;
      sum += length;
      squares += length * length;
      count++;
    }
    const mean = sum / count;
    return Math.sqrt(Math.max(0, squares / count - mean * mean)) / mean;
  };
  return spread(falls) > spread(1 - falls);
}
