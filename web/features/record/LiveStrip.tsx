import { useTheme } from '@mui/material/styles';
import type { SweepMark } from '@lettura/core/sweep';
import { NUMERALS } from '../../app/theme.ts';
import type { LiveBuffer } from '../live/index.ts';
import { frameOf, MARGIN, paintValues, rangeOf, type Frame, type Ink } from './axes.ts';
import { columnsOf, type Columns } from './columnsOf.ts';
import { usePainter, type Surface } from './usePainter.ts';

export interface LiveStripProps {
  label: string;
  unit: string;
  buffer: LiveBuffer;
  channel: number;
  windowSeconds: number;
  /** The clock of the source less this browser's. */
  aheadMs: number;
  /** Where the value belongs just now. */
  expected: { lowest: number; highest: number } | undefined;
  /** Marks of the recording that runs, and when it began. */
  marks: readonly SweepMark[];
  startedMs: number | undefined;
  /** The lowest strip carries the scale of time. */
  last: boolean;
}

/** A little behind now, so that what has just arrived does not jump in. */
const BEHIND_MS = 120;
/** Longer without a sample, and no line leads across. */
const TORN_MS = 1000;

/** One channel as it comes: between the lowest and highest of each column of the screen, so that nothing is left out. */
export function LiveStrip(props: LiveStripProps) {
  const { palette } = useTheme();
  const ink: Ink = {
    line: palette.text.primary,
    grid: palette.divider,
    band: palette.standing.proven,
    mark: palette.primary.main,
    font: `13px ${NUMERALS}`,
  };
  const canvas = usePainter((surface) => paintStrip(surface, props, ink));
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={props.label}
      style={{ width: '100%', height: '100%', display: 'block' }}
    />
  );
}

function paintStrip(surface: Surface, props: LiveStripProps, ink: Ink): void {
  const { buffer, channel, unit, windowSeconds, aheadMs, expected, marks, startedMs } = props;
  const toMs = Date.now() + aheadMs - BEHIND_MS;
  const fromMs = toMs - 1000 * windowSeconds;
  const below = props.last ? MARGIN.bottom : MARGIN.top;
  const wide = Math.max(1, Math.floor(surface.width - MARGIN.left - MARGIN.right));
  const columns = columnsOf(buffer, channel, { fromMs, toMs }, wide);
  const domain = rangeOf(unit, ...extremesOf(columns));
  const frame = frameOf(surface, [fromMs, toMs], domain, below);
  const { draw } = surface;
  if (expected) {
    draw.fillStyle = ink.band;
    draw.globalAlpha = 0.18;
    const [top, bottom] = [frame.y(expected.highest), frame.y(expected.lowest)];
    draw.fillRect(frame.left, top, frame.right - frame.left, Math.max(2, bottom - top));
    draw.globalAlpha = 1;
  }
  paintValues(surface, frame, domain, ink);
  if (props.last) paintSeconds(surface, frame, toMs, windowSeconds, ink);
  paintLine(surface, frame, columns, (TORN_MS * wide) / (1000 * windowSeconds), ink);
  if (startedMs === undefined) return;
  draw.strokeStyle = ink.mark;
  draw.fillStyle = ink.mark;
  draw.textBaseline = 'top';
  marks.forEach(({ atSeconds }, i) => {
    const atMs = startedMs + 1000 * atSeconds;
    if (atMs < fromMs) return;
    const x = Math.round(frame.x(atMs)) + 0.5;
    draw.setLineDash([5, 4]);
    draw.beginPath();
    draw.moveTo(x, frame.top);
    draw.lineTo(x, frame.bottom);
    draw.stroke();
    draw.setLineDash([]);
    const room = x + 3 + draw.measureText(String(i + 1)).width < frame.right;
    draw.textAlign = room ? 'left' : 'right';
    draw.fillText(String(i + 1), room ? x + 3 : x - 3, frame.top);
  });
}

const TIME_TICKS = 6;
function paintSeconds(
  { draw }: Surface,
  { left, right, bottom }: Frame,
  toMs: number,
  windowSeconds: number,
  ink: Ink,
): void {
  draw.fillStyle = ink.line;
  draw.strokeStyle = ink.grid;
  draw.textBaseline = 'top';
  draw.textAlign = 'center';
  const step = windowSeconds / TIME_TICKS;
  // The grid moves with the line, so that a place keeps its place against it.
  const shift = (toMs / 1000) % step;
  draw.beginPath();
  for (let i = 0; i < TIME_TICKS; i++) {
    const x = Math.round(right - ((i * step + shift) / windowSeconds) * (right - left)) + 0.5;
    draw.moveTo(x, bottom);
    draw.lineTo(x, bottom - 5);
  }
  draw.stroke();
  draw.textAlign = 'left';
  draw.fillText(`−${windowSeconds} s`, left, bottom + 3);
  draw.textAlign = 'right';
  draw.fillText('now', right, bottom + 3);
}

function paintLine(
  { draw }: Surface,
  { left, y }: Frame,
  { lowest, highest }: Columns,
  tornColumns: number,
  ink: Ink,
): void {
  draw.strokeStyle = ink.line;
  draw.lineWidth = 1.6;
  draw.lineJoin = 'round';
  draw.beginPath();
  let before = -Infinity;
  for (let column = 0; column < lowest.length; column++) {
    const [low, high] = [lowest[column]!, highest[column]!];
    if (Number.isNaN(low)) continue;
    const x = left + column + 0.5;
    if (column - before > Math.max(1.5, tornColumns)) draw.moveTo(x, y(low));
    else draw.lineTo(x, y(low));
    draw.lineTo(x, y(high) - (high === low ? 0.01 : 0));
    before = column;
  }
  draw.stroke();
  draw.lineWidth = 1;
}

function extremesOf({ lowest, highest }: Columns): [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (let i = 0; i < lowest.length; i++) {
    if (lowest[i]! < low) low = lowest[i]!;
    if (highest[i]! > high) high = highest[i]!;
  }
  return [low, high];
}
