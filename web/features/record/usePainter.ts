import { useEffect, useRef, type RefObject } from 'react';

/** What a painter draws on, in CSS pixels. */
export interface Surface {
  draw: CanvasRenderingContext2D;
  width: number;
  height: number;
}

/** A canvas that is painted anew with every frame of the screen, as large and as sharp as it stands there. */
export function usePainter(paint: (surface: Surface) => void): RefObject<HTMLCanvasElement | null> {
  const canvas = useRef<HTMLCanvasElement>(null);
  const latest = useRef(paint);
  useEffect(() => {
    latest.current = paint;
  });
  useEffect(() => {
    let frame = 0;
    const tick = () => {
      frame = requestAnimationFrame(tick);
      const element = canvas.current;
      const draw = element?.getContext('2d');
      if (!element || !draw) return;
      const { clientWidth: width, clientHeight: height } = element;
      const sharp = window.devicePixelRatio || 1;
      const [wide, high] = [Math.round(width * sharp), Math.round(height * sharp)];
      // Setting a size clears and allocates: only when it is another.
      if (element.width !== wide) element.width = wide;
      if (element.height !== high) element.height = high;
      draw.setTransform(sharp, 0, 0, sharp, 0, 0);
      draw.clearRect(0, 0, width, height);
      if (width > 0 && height > 0) latest.current({ draw, width, height });
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, []);
  return canvas;
}
