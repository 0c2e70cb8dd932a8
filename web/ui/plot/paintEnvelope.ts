import type { Frame } from './axes.ts';
import type { Surface } from './usePainter.ts';

/** The lowest and highest of each column of a plot; NaN where there is nothing. */
export interface Columns {
  lowest: Float64Array;
  highest: Float64Array;
}

export interface Stroke {
  colour: string;
  width: number;
  opacity?: number;
  /** Empty columns that a line still leads across. */
  across: number;
}

/** A line through all columns, as high in each as what lies in it: a sample of one millisecond shows in an hour. */
export function paintEnvelope(
  { draw }: Surface,
  { left, right, y }: Pick<Frame, 'left' | 'right' | 'y'>,
  { lowest, highest }: Columns,
  { colour, width, opacity = 1, across }: Stroke,
): void {
  const step = (right - left) / lowest.length;
  draw.save();
  draw.strokeStyle = colour;
  draw.lineWidth = width;
  draw.lineJoin = 'round';
  draw.globalAlpha = opacity;
  draw.beginPath();
  let before = -Infinity;
  for (let column = 0; column < lowest.length; column++) {
    const [low, high] = [lowest[column]!, highest[column]!];
    if (Number.isNaN(low)) continue;
    const x = left + (column + 0.5) * step;
    if (column - before > across + 1) draw.moveTo(x, y(low));
    else draw.lineTo(x, y(low));
    // A dot of its own length where there is one value only.
    draw.lineTo(x, y(high) - (high === low ? 0.01 : 0));
    before = column;
  }
  draw.stroke();
  draw.restore();
}

export function extremesOf(...all: readonly Columns[]): [lowest: number, highest: number] {
  let [low, high] = [Infinity, -Infinity];
  for (const { lowest, highest } of all)
    for (let i = 0; i < lowest.length; i++) {
      if (lowest[i]! < low) low = lowest[i]!;
      if (highest[i]! > high) high = highest[i]!;
    }
  return [low, high];
}
