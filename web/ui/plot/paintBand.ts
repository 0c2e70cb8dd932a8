import type { Frame, Ink, Range } from './axes.ts';
import type { Surface } from './usePainter.ts';

const STEPS = 80;

/** The two edges between which a value belongs, dashed, over a range of another. */
export function paintBand(
  { draw }: Surface,
  { x, y, left, right, top, bottom }: Frame,
  [from, to]: Range,
  bandAt: (along: number) => { lowest: number; highest: number },
  ink: Ink,
): void {
  draw.save();
  draw.beginPath();
  draw.rect(left, top, right - left, bottom - top);
  draw.clip();
  draw.strokeStyle = ink.band;
  draw.lineWidth = 1.2;
  draw.setLineDash([5, 4]);
  for (const edge of ['lowest', 'highest'] as const) {
    draw.beginPath();
    for (let i = 0; i <= STEPS; i++) {
      const along = from + ((to - from) * i) / STEPS;
      draw.lineTo(x(along), y(bandAt(along)[edge]));
    }
    draw.stroke();
  }
  draw.restore();
}
