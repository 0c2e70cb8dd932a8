import type { Frame, Ink } from './axes.ts';
import type { Surface } from './usePainter.ts';

/** A share of what is read between two rulers. */
const BETWEEN_OPACITY = 0.08;

/** Named lines at the moments that are read off, what lies between two of them a little darker. */
export function paintRulers(
  { draw }: Surface,
  { x, left, right, top, bottom }: Frame,
  moments: readonly number[],
  names: readonly string[],
  ink: Ink,
): void {
  const within = (moment: number) => Math.min(right, Math.max(left, x(moment)));
  draw.save();
  draw.fillStyle = ink.line;
  draw.strokeStyle = ink.line;
  draw.font = ink.font;
  draw.textBaseline = 'bottom';
  draw.textAlign = 'center';
  const [first, second] = moments;
  if (first !== undefined && second !== undefined) {
    draw.globalAlpha = BETWEEN_OPACITY;
    const start = within(Math.min(first, second));
    draw.fillRect(start, top, within(Math.max(first, second)) - start, bottom - top);
    draw.globalAlpha = 1;
  }
  draw.lineWidth = 1.5;
  moments.forEach((moment, i) => {
    const at = x(moment);
    if (at < left - 1 || at > right + 1) return;
    draw.beginPath();
    draw.moveTo(at, top);
    draw.lineTo(at, bottom);
    draw.stroke();
    const name = names[i] ?? '';
    const half = draw.measureText(name).width / 2 + 4;
    draw.clearRect(at - half, bottom - 17, 2 * half, 17);
    draw.strokeRect(at - half, bottom - 17, 2 * half, 17);
    draw.fillText(name, at, bottom - 1);
  });
  draw.restore();
}
