import type { RefObject } from 'react';

/** A plot, to the eye a picture and to a reader its name. */
export const PlotCanvas = ({
  canvas,
  label,
  heightPx,
}: {
  canvas: RefObject<HTMLCanvasElement | null>;
  label: string;
  heightPx?: number;
}) => (
  <canvas
    ref={canvas}
    role="img"
    aria-label={label}
    style={{ width: '100%', height: heightPx ?? '100%', display: 'block' }}
  />
);
