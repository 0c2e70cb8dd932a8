import type { SweepMark } from '@lettura/core/recording/sweep';
import {
  columnsIn,
  extremesOf,
  frameOf,
  MARGIN,
  paintEnvelope,
  paintMarks,
  paintValues,
  PlotCanvas,
  useInk,
  useLivePainter,
  type Frame,
  type Ink,
  type Surface,
} from '../../ui/plot/index.ts';
import type { LiveBuffer } from '../live/index.ts';
import { columnsOf } from './columnsOf.ts';
import { liveRange } from './liveRange.ts';

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
  const ink = useInk();
  const canvas = useLivePainter((surface) => paintStrip(surface, props, ink));
  return <PlotCanvas canvas={canvas} label={props.label} />;
}

function paintStrip(surface: Surface, props: LiveStripProps, ink: Ink): void {
  const { buffer, channel, unit, windowSeconds, aheadMs, expected, marks, startedMs, last } = props;
  const toMs = Date.now() + aheadMs - BEHIND_MS;
  const fromMs = toMs - 1000 * windowSeconds;
  const wide = columnsIn(surface);
  const columns = columnsOf(buffer, channel, { fromMs, toMs }, wide);
  const range = liveRange(unit, ...extremesOf(columns));
  const frame = frameOf(surface, [fromMs, toMs], range, last ? MARGIN.bottom : MARGIN.top);
  const { draw } = surface;
  if (expected) {
    draw.fillStyle = ink.band;
    draw.globalAlpha = 0.18;
    const [top, bottom] = [frame.y(expected.highest), frame.y(expected.lowest)];
    draw.fillRect(frame.left, top, frame.right - frame.left, Math.max(2, bottom - top));
    draw.globalAlpha = 1;
  }
  paintValues(surface, frame, range, ink);
  if (last) paintSeconds(surface, frame, toMs, windowSeconds, ink);
  const across = Math.max(1, (TORN_MS * wide) / (1000 * windowSeconds));
  paintEnvelope(surface, frame, columns, { colour: ink.line, width: 1.6, across });
  if (startedMs !== undefined)
    paintMarks(
      surface,
      frame,
      marks.map(({ atSeconds }) => startedMs + 1000 * atSeconds),
      ink,
    );
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
  const step = windowSeconds / TIME_TICKS;
  // The scale moves with the line, so that a place keeps its place against it.
  const shift = (toMs / 1000) % step;
  draw.beginPath();
  for (let i = 0; i < TIME_TICKS; i++) {
    const x = Math.round(right - ((i * step + shift) / windowSeconds) * (right - left)) + 0.5;
    draw.moveTo(x, bottom);
    draw.lineTo(x, bottom - 5);
  }
  draw.stroke();
  draw.textAlign = 'left';
  draw.fillText(`−${windowSeconds} s`, left, bottom + 4);
  draw.textAlign = 'right';
  draw.fillText('now', right, bottom + 4);
}
