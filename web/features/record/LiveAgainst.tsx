import type { SweepBand } from '@lettura/core/recording/sweep';
import {
  frameOf,
  paintAcross,
  paintBand,
  paintValues,
  PlotCanvas,
  useInk,
  useLivePainter,
  type Ink,
  type Surface,
} from '../../ui/plot/index.ts';
import type { LiveBuffer } from '../live/index.ts';
import { liveRange } from './liveRange.ts';

export interface LiveAgainstProps {
  label: string;
  buffer: LiveBuffer;
  band: SweepBand;
  channels: readonly { name: string; unit: string }[];
  windowSeconds: number;
}

/** Two quantities against each other as they come, between the lines where they belong. */
export function LiveAgainst({ label, ...props }: LiveAgainstProps) {
  const ink = useInk();
  const canvas = useLivePainter((surface) => paintAgainst(surface, props, ink));
  return <PlotCanvas canvas={canvas} label={label} />;
}

const BELOW_PX = 38;
const TICKS = 6;

function paintAgainst(
  surface: Surface,
  { buffer, band, channels, windowSeconds }: Omit<LiveAgainstProps, 'label'>,
  ink: Ink,
): void {
  const { along, up, bandAt } = band;
  const [across, upward] = [channels[along], channels[up]];
  const sinceMs = (buffer.newestMs ?? 0) - 1000 * windowSeconds;
  let [lowX, highX, lowY, highY] = [Infinity, -Infinity, Infinity, -Infinity];
  buffer.eachPair(along, up, sinceMs, (x, y) => {
    if (x < lowX) lowX = x;
    if (x > highX) highX = x;
    if (y < lowY) lowY = y;
    if (y > highY) highY = y;
  });
  const rangeX = liveRange(across?.unit ?? '', lowX, highX);
  const rangeY = liveRange(upward?.unit ?? '', lowY, highY);
  const frame = frameOf(surface, rangeX, rangeY, BELOW_PX);
  const label = `${across?.name ?? ''} (${across?.unit ?? ''})`;
  paintValues(surface, frame, rangeY, ink);
  paintAcross(surface, frame, rangeX, { ticks: TICKS, label, ink });
  paintBand(surface, frame, rangeX, bandAt, ink);
  const { draw } = surface;
  draw.fillStyle = ink.line;
  let last: { x: number; y: number } | undefined;
  buffer.eachPair(along, up, sinceMs, (x, y) => {
    if (Number.isNaN(x) || Number.isNaN(y)) return;
    last = { x: frame.x(x), y: frame.y(y) };
    draw.fillRect(last.x - 1, last.y - 1, 2, 2);
  });
  if (!last) return;
  draw.strokeStyle = ink.fault;
  draw.lineWidth = 2.5;
  draw.beginPath();
  draw.arc(last.x, last.y, 7, 0, 2 * Math.PI);
  draw.stroke();
}
