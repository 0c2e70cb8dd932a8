import { useTheme } from '@mui/material/styles';
import type { SweepBand } from '@lettura/core/sweep';
import { NUMERALS } from '../../app/theme.ts';
import type { LiveBuffer } from '../live/index.ts';
import { niceTicks } from '../sweeps/index.ts';
import { frameOf, paintValues, rangeOf, type Ink } from './axes.ts';
import { usePainter, type Surface } from './usePainter.ts';

export interface LiveAgainstProps {
  label: string;
  buffer: LiveBuffer;
  band: SweepBand;
  channels: readonly { name: string; unit: string }[];
  windowSeconds: number;
}

/** Two quantities against each other as they come, between the lines where they belong. */
export function LiveAgainst({ label, ...props }: LiveAgainstProps) {
  const { palette } = useTheme();
  const ink: Ink = {
    line: palette.text.primary,
    grid: palette.divider,
    band: palette.standing.proven,
    mark: palette.standing.faulty,
    font: `13px ${NUMERALS}`,
  };
  const canvas = usePainter((surface) => paintAgainst(surface, props, ink));
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={label}
      style={{ width: '100%', height: '100%', display: 'block' }}
    />
  );
}

const BAND_STEPS = 60;
const AXIS_BELOW = 36;
const ACROSS_TICKS = 6;

function paintAgainst(
  surface: Surface,
  { buffer, band, channels, windowSeconds }: Omit<LiveAgainstProps, 'label'>,
  ink: Ink,
): void {
  const { along, up, bandAt } = band;
  const [unitX, unitY] = [channels[along]?.unit ?? '', channels[up]?.unit ?? ''];
  const sinceMs = (buffer.newestMs ?? 0) - 1000 * windowSeconds;
  let [lowX, highX, lowY, highY] = [Infinity, -Infinity, Infinity, -Infinity];
  buffer.eachPair(along, up, sinceMs, (x, y) => {
    if (x < lowX) lowX = x;
    if (x > highX) highX = x;
    if (y < lowY) lowY = y;
    if (y > highY) highY = y;
  });
  const rangeX = rangeOf(unitX, lowX, highX);
  const frame = frameOf(surface, rangeX, rangeOf(unitY, lowY, highY), AXIS_BELOW);
  const { draw } = surface;
  paintValues(surface, frame, rangeOf(unitY, lowY, highY), ink);
  draw.save();
  draw.strokeStyle = ink.band;
  draw.setLineDash([5, 4]);
  draw.beginPath();
  draw.rect(frame.left, frame.top, frame.right - frame.left, frame.bottom - frame.top);
  draw.clip();
  for (const edge of ['lowest', 'highest'] as const) {
    draw.beginPath();
    for (let i = 0; i <= BAND_STEPS; i++) {
      const x = rangeX[0] + ((rangeX[1] - rangeX[0]) * i) / BAND_STEPS;
      draw.lineTo(frame.x(x), frame.y(bandAt(x)[edge]));
    }
    draw.stroke();
  }
  draw.setLineDash([]);
  draw.fillStyle = ink.line;
  let last: { x: number; y: number } | undefined;
  buffer.eachPair(along, up, sinceMs, (x, y) => {
    if (Number.isNaN(x) || Number.isNaN(y)) return;
    last = { x: frame.x(x), y: frame.y(y) };
    draw.fillRect(last.x - 1, last.y - 1, 2, 2);
  });
  draw.restore();
  if (last) {
    draw.strokeStyle = ink.mark;
    draw.lineWidth = 2.5;
    draw.beginPath();
    draw.arc(last.x, last.y, 7, 0, 2 * Math.PI);
    draw.stroke();
    draw.lineWidth = 1;
  }
  draw.textAlign = 'center';
  draw.textBaseline = 'top';
  for (const tick of niceTicks(...rangeX, ACROSS_TICKS))
    draw.fillText(String(tick), frame.x(tick), frame.bottom + 3);
  draw.fillText(
    `${channels[along]?.name ?? ''} (${unitX})`,
    (frame.left + frame.right) / 2,
    frame.bottom + 18,
  );
}
