import { alpha, useTheme } from '@mui/material/styles';
import { NUMERALS } from '../../app/theme.ts';
import { niceTicks } from './niceTicks.ts';
import type { Surface } from './usePainter.ts';

export interface Ink {
  line: string;
  grid: string;
  band: string;
  mark: string;
  fault: string;
  font: string;
}

/** What plots are drawn with in the theme of the day. */
export function useInk(): Ink {
  const { palette } = useTheme();
  return {
    line: palette.text.primary,
    // Behind the line, not beside it.
    grid: alpha(palette.divider, 0.5),
    band: palette.standing.proven,
    mark: palette.primary.main,
    fault: palette.standing.faulty,
    font: `13px ${NUMERALS}`,
  };
}

/** Left of a plot for its scale, and below it. */
export const MARGIN = { left: 52, right: 10, top: 9, bottom: 20 } as const;

export interface Frame {
  x: (value: number) => number;
  y: (value: number) => number;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

export type Range = readonly [low: number, high: number];

export function frameOf(
  { width, height }: Surface,
  [x0, x1]: Range,
  [y0, y1]: Range,
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

/** How many columns of one pixel fit beside the scale. */
export const columnsIn = ({ width }: Surface): number =>
  Math.max(1, Math.floor(width - MARGIN.left - MARGIN.right));

const VALUE_TICKS = 5;
const LEAST_TICK_PX = 22;

/** Lines and numbers of the values. */
export function paintValues({ draw }: Surface, frame: Frame, [low, high]: Range, ink: Ink): void {
  const most = Math.min(VALUE_TICKS, Math.max(2, (frame.bottom - frame.top) / LEAST_TICK_PX));
  draw.font = ink.font;
  draw.fillStyle = ink.line;
  draw.strokeStyle = ink.grid;
  draw.lineWidth = 1;
  draw.textAlign = 'right';
  draw.textBaseline = 'middle';
  draw.beginPath();
  for (const tick of niceTicks(low, high, most)) {
    const y = Math.round(frame.y(tick)) + 0.5;
    draw.moveTo(frame.left, y);
    draw.lineTo(frame.right, y);
    draw.fillText(String(tick), frame.left - 6, y);
  }
  draw.stroke();
}

/** Lines and numbers across, below the plot, with what they are. */
export function paintAcross(
  { draw }: Surface,
  frame: Frame,
  range: Range,
  { ticks, label, ink }: { ticks: number; label: string | undefined; ink: Ink },
): void {
  draw.font = ink.font;
  draw.fillStyle = ink.line;
  draw.strokeStyle = ink.grid;
  draw.lineWidth = 1;
  draw.textAlign = 'center';
  draw.textBaseline = 'top';
  draw.beginPath();
  for (const tick of niceTicks(...range, ticks)) {
    const x = Math.round(frame.x(tick)) + 0.5;
    draw.moveTo(x, frame.top);
    draw.lineTo(x, frame.bottom);
    if (label !== undefined) draw.fillText(String(tick), x, frame.bottom + 4);
  }
  draw.stroke();
  if (label) draw.fillText(label, (frame.left + frame.right) / 2, frame.bottom + 19);
}
