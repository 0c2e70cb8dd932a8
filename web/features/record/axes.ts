import { niceTicks } from '../sweeps/index.ts';
import type { Surface } from './usePainter.ts';

export interface Ink {
  line: string;
  grid: string;
  band: string;
  mark: string;
  font: string;
}

/** Left of a plot for its scale, and below it. */
export const MARGIN = { left: 46, right: 8, top: 9, bottom: 18 } as const;

export interface Frame {
  x: (value: number) => number;
  y: (value: number) => number;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

export function frameOf(
  { width, height }: Surface,
  [x0, x1]: readonly [number, number],
  [y0, y1]: readonly [number, number],
  bottomMargin: number = MARGIN.bottom,
): Frame {
  const [left, right] = [MARGIN.left, width - MARGIN.right];
  const [top, bottom] = [MARGIN.top, height - bottomMargin];
  return {
    left,
    right,
    top,
    bottom,
    x: (value) => left + ((value - x0) / (x1 - x0)) * (right - left),
    y: (value) => bottom - ((value - y0) / (y1 - y0)) * (bottom - top),
  };
}

const VALUE_TICKS = 5;

/** Lines and numbers of the values. */
export function paintValues(
  { draw }: Surface,
  frame: Frame,
  [low, high]: readonly [number, number],
  ink: Ink,
): void {
  draw.font = ink.font;
  draw.fillStyle = ink.line;
  draw.strokeStyle = ink.grid;
  draw.lineWidth = 1;
  draw.textAlign = 'right';
  draw.textBaseline = 'middle';
  draw.beginPath();
  for (const tick of niceTicks(low, high, VALUE_TICKS)) {
    const y = Math.round(frame.y(tick)) + 0.5;
    draw.moveTo(frame.left, y);
    draw.lineTo(frame.right, y);
    draw.fillText(String(tick), frame.left - 6, y);
  }
  draw.stroke();
}

/** The range that a plot of a unit begins with; it grows with what comes. */
const USUAL: Record<string, readonly [number, number]> = { V: [0, 5], '%': [0, 100] };
const LARGER = 0.08;

/** A range around what was seen that changes seldom: to the next round number, and never narrower than it is usual. */
export function rangeOf(unit: string, lowest: number, highest: number): readonly [number, number] {
  const usual = USUAL[unit];
  if (!(lowest <= highest)) return usual ?? [0, 1];
  const [low, high] = usual ? [Math.min(usual[0], lowest), Math.max(usual[1], highest)] : [lowest, highest];
  const room = LARGER * (high - low) || Math.max(0.5, 0.1 * Math.abs(high));
  const ticks = niceTicks(low - room, high + room, VALUE_TICKS);
  const step = (ticks[1] ?? 1) - (ticks[0] ?? 0) || 1;
  if (usual && lowest >= usual[0] - room && highest <= usual[1] + room) return [low - room, high + room];
  return [Math.floor((low - room) / step) * step, Math.ceil((high + room) / step) * step];
}
