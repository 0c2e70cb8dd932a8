import type { Columns } from '../../ui/plot/index.ts';
import type { LiveBuffer } from '../live/index.ts';

/** A stretch of a channel in so many columns: a sample of one millisecond still shows in a strip of minutes. */
export function columnsOf(
  buffer: LiveBuffer,
  channel: number,
  { fromMs, toMs }: { fromMs: number; toMs: number },
  columns: number,
): Columns {
  const lowest = new Float64Array(columns).fill(NaN);
  const highest = new Float64Array(columns).fill(NaN);
  const perMs = columns / (toMs - fromMs);
  buffer.each(channel, fromMs, (atMs, value) => {
    const column = Math.floor((atMs - fromMs) * perMs);
    if (column < 0 || column >= columns || Number.isNaN(value)) return;
    if (!(lowest[column]! <= value)) lowest[column] = value;
    if (!(highest[column]! >= value)) highest[column] = value;
  });
  return { lowest, highest };
}
