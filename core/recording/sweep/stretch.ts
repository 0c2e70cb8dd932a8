import { indexAfter, indexAt, type Recording } from './recording.ts';

/** The samples from one moment to another, both with it, counted from the first of them; none where none lies between. */
export function stretchOf(
  { seconds, channels }: Recording,
  fromSeconds: number,
  toSeconds: number,
): Recording {
  const [from, to] = [indexAt(seconds, fromSeconds), indexAfter(seconds, toSeconds)];
  const start = seconds[from] ?? 0;
  return {
    seconds: Float64Array.from(seconds.subarray(from, to), (moment) => moment - start),
    channels: channels.map((channel) => ({ ...channel, values: channel.values.slice(from, to) })),
  };
}
