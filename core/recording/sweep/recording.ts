/** One quantity over time. */
export interface Channel {
  name: string;
  /** As the recording says: V, %, kPa, g/s, °; empty where it says nothing. */
  unit: string;
  /** One per sample; NaN where nothing was recorded. */
  values: Float64Array;
}

/** Channels that share their moments. */
export interface Recording {
  /** From the start, never falling. */
  seconds: Float64Array;
  channels: readonly Channel[];
}

/** Samples per second over the whole; NaN for fewer than two. */
export function sampleRate({ seconds }: Pick<Recording, 'seconds'>): number {
  const span = (seconds.at(-1) ?? NaN) - (seconds[0] ?? NaN);
  return span > 0 ? (seconds.length - 1) / span : NaN;
}

/** The first index at or after a moment, for a rising list. */
export function indexAt(seconds: Float64Array, moment: number): number {
  let [low, high] = [0, seconds.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (seconds[middle]! < moment) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The first index after a moment, for a rising list. */
export function indexAfter(seconds: Float64Array, moment: number): number {
  let index = indexAt(seconds, moment);
  while (index < seconds.length && seconds[index]! <= moment) index++;
  return index;
}
