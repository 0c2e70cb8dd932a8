import { indexAt } from '@lettura/core/recording/sweep';
import {
  framePartsOf,
  NIBBLE_ZERO_TICKS,
  type FramePart,
  type Telegrams,
} from '@lettura/core/recording/telegram';
import type { Frame, Ink, Range, Surface } from '../../ui/plot/index.ts';

/** Narrower than this a frame is a hair among many: what it says stands in the table. */
const LEAST_FRAME_PX = 46;
const ROW_PX = 20;
const PAD_PX = 3;

/** What stands in the box of a pulse: its nibble as a digit, and of the calibration what it is. */
const digitOf = ({ of, nibble }: FramePart): string =>
  of === 'calibration' ? '56' : (nibble ?? 0).toString(16).toUpperCase();

/** No frame lasts longer than all of its nibbles at their longest. */
const longestSeconds = ({ layout, tickSeconds }: Telegrams): number =>
  (56 + 27 * (layout.nibbles + 2)) * tickSeconds;

/** Whether frames have room in a view of so many seconds. */
export const framesFit = (telegrams: Telegrams, [from, to]: Range, widthPx: number): boolean =>
  (longestSeconds(telegrams) / (to - from)) * widthPx >= LEAST_FRAME_PX;

/** Good frames over the line that they were read from: each as a box, and nibble by nibble once there is room. */
export function paintFrames(
  { draw }: Surface,
  { x, left, right, top }: Frame,
  [from, to]: Range,
  telegrams: Telegrams,
  ink: Ink,
): void {
  const { startSeconds, data, layout } = telegrams;
  const longest = longestSeconds(telegrams);
  draw.save();
  draw.font = ink.font;
  draw.textAlign = 'center';
  draw.textBaseline = 'middle';
  draw.strokeStyle = ink.mark;
  draw.fillStyle = ink.mark;
  const box = (fromX: number, untilX: number, text: string, isFilled = false): void => {
    const [start, end] = [Math.max(left, fromX), Math.min(right, untilX)];
    if (end - start < 1) return;
    if (isFilled) {
      draw.globalAlpha = 0.15;
      draw.fillRect(start, top, end - start, ROW_PX);
      draw.globalAlpha = 1;
    }
    draw.strokeRect(start, top, end - start, ROW_PX);
    if (draw.measureText(text).width + 2 * PAD_PX < end - start)
      draw.fillText(text, (start + end) / 2, top + ROW_PX / 2);
  };
  const shortest = x(from + NIBBLE_ZERO_TICKS * telegrams.tickSeconds) - left;
  const isRoomy = shortest > draw.measureText('F').width + 2 * PAD_PX;
  for (let frame = indexAt(startSeconds, from - longest); frame < startSeconds.length; frame++) {
    if (startSeconds[frame]! > to) break;
    const parts = framePartsOf(telegrams, frame);
    if (isRoomy)
      for (const part of parts)
        box(x(part.fromSeconds), x(part.untilSeconds), digitOf(part), part.of !== 'data');
    else {
      const digits = Array.from(
        data.subarray(frame * layout.nibbles, (frame + 1) * layout.nibbles),
        (nibble) => nibble.toString(16).toUpperCase(),
      ).join('');
      box(x(parts[0]!.fromSeconds), x(parts.at(-1)!.untilSeconds), digits);
    }
  }
  draw.restore();
}
