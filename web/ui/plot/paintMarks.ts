import type { Frame, Ink } from './axes.ts';
import type { Surface } from './usePainter.ts';

const BESIDE_PX = 3;

/** Numbered lines at the moments that somebody marked; those out of view are left out. */
export function paintMarks(
  { draw }: Surface,
  { x, left, right, top, bottom }: Frame,
  moments: readonly number[],
  ink: Ink,
): void {
  draw.save();
  draw.font = ink.font;
  draw.strokeStyle = ink.mark;
  draw.fillStyle = ink.mark;
  draw.textBaseline = 'top';
  moments.forEach((moment, i) => {
    const at = Math.round(x(moment)) + 0.5;
    if (at < left || at > right + 1) return;
    draw.setLineDash([5, 4]);
    draw.beginPath();
    draw.moveTo(at, top);
    draw.lineTo(at, bottom);
    draw.stroke();
    const number = String(i + 1);
    const room = at + BESIDE_PX + draw.measureText(number).width < right;
    draw.textAlign = room ? 'left' : 'right';
    draw.fillText(number, room ? at + BESIDE_PX : at - BESIDE_PX, top);
  });
  draw.restore();
}
