import { useEffect, useRef, type RefObject } from 'react';

/** What a painter draws on, in CSS pixels. */
export interface Surface {
  draw: CanvasRenderingContext2D;
  width: number;
  height: number;
}
export type Painter = (surface: Surface) => void;

/** As large and as sharp as the canvas stands on the screen. */
function paintOn(element: HTMLCanvasElement | null, paint: Painter): void {
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
  if (width > 0 && height > 0) paint({ draw, width, height });
}

/** A canvas that is painted anew with every frame of the screen. */
export function useLivePainter(paint: Painter): RefObject<HTMLCanvasElement | null> {
  const canvas = useRef<HTMLCanvasElement>(null);
  const latest = useRef(paint);
  useEffect(() => {
    latest.current = paint;
  });
  useEffect(() => {
    let frame = 0;
    const tick = () => {
      frame = requestAnimationFrame(tick);
      paintOn(canvas.current, latest.current);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, []);
  return canvas;
}

/** A canvas that is painted when what it shows has changed, and when its size has. */
export function usePainter(paint: Painter): RefObject<HTMLCanvasElement | null> {
  const canvas = useRef<HTMLCanvasElement>(null);
  const latest = useRef(paint);
  useEffect(() => {
    latest.current = paint;
    paintOn(canvas.current, paint);
  });
  useEffect(() => {
    const element = canvas.current;
    if (!element) return undefined;
    const again = () => paintOn(element, latest.current);
    const sizes = new ResizeObserver(again);
    sizes.observe(element);
    // Numbers drawn before their font was there are drawn anew with it.
    void document.fonts.ready.then(again);
    return () => sizes.disconnect();
  }, []);
  return canvas;
}
