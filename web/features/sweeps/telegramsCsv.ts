import type { Telegrams } from '@lettura/core/recording/telegram';

/**
 * Frames as CSV (RFC 4180): when each begins in seconds, its status and its data as numbers, and its values of twelve bits.
 *
 * @param channels one list of values a channel, in the order of the frames
 */
export function telegramsCsv(
  { startSeconds, status, data, layout: { nibbles } }: Telegrams,
  channels: readonly Uint16Array[],
): string {
  const numbered = (name: string, count: number) =>
    Array.from({ length: count }, (_, i) => `${name} ${i + 1}`);
  const head = ['seconds', 'status', ...numbered('nibble', nibbles), ...numbered('value', channels.length)];
  const rows = Array.from(startSeconds, (at, frame) =>
    [
      at.toFixed(9),
      status[frame],
      ...data.subarray(frame * nibbles, (frame + 1) * nibbles),
      ...channels.map((values) => values[frame]),
    ].join(','),
  );
  return `${[head.join(','), ...rows].join('\r\n')}\r\n`;
}
