import { useEffect, useRef, type RefObject } from 'react';
import { MARGIN } from '../../ui/plot/index.ts';
import type { View } from './useView.ts';

export interface PlotHand {
  view: View;
  put: (fromSeconds: number, toSeconds: number) => void;
  zoom: (factor: number, atSeconds: number) => void;
  /** A tap, or a click that moved nothing. */
  onPoint: (atSeconds: number) => void;
}

/** A finger shakes by so much while it taps. */
const STILL_PX = 6;
const WHEEL_ZOOM = 1.0016;
const WHEEL_LINE_PX = 16;

/**
 * What a hand does on plots that share one scale of time: a tap points, a drag moves the view, two fingers or the wheel with Ctrl zoom
 * at the place under them. The wheel by itself scrolls the page, as everywhere.
 */
export function usePlotHand(plots: RefObject<HTMLElement | null>, hand: PlotHand): void {
  const latest = useRef(hand);
  useEffect(() => {
    latest.current = hand;
  });
  useEffect(() => {
    const element = plots.current;
    if (!element) return undefined;
    const down = new Map<number, number>();
    let moved = false;
    let pressedAt = 0;
    const secondsAcross = () => {
      const { fromSeconds, toSeconds } = latest.current.view;
      return (toSeconds - fromSeconds) / Math.max(1, element.clientWidth - MARGIN.left - MARGIN.right);
    };
    const secondsAt = (clientX: number) =>
      latest.current.view.fromSeconds +
      (clientX - element.getBoundingClientRect().left - MARGIN.left) * secondsAcross();
    const onDown = (event: PointerEvent) => {
      if (event.button !== 0 || !(event.target instanceof HTMLCanvasElement)) return;
      down.set(event.pointerId, event.clientX);
      if (down.size === 1) [moved, pressedAt] = [false, event.clientX];
      else moved = true;
    };
    const onMove = (event: PointerEvent) => {
      const before = down.get(event.pointerId);
      if (before === undefined) return;
      // Let go beside the plots, where nobody told of it.
      if (event.buttons === 0) return void down.delete(event.pointerId);
      if (!moved && Math.abs(event.clientX - pressedAt) < STILL_PX) return;
      // From here on it is a drag, wherever it goes.
      if (!moved) element.setPointerCapture(event.pointerId);
      moved = true;
      const { view, put, zoom } = latest.current;
      const other = [...down].find(([id]) => id !== event.pointerId)?.[1];
      if (other === undefined) {
        const by = (before - event.clientX) * secondsAcross();
        put(view.fromSeconds + by, view.toSeconds + by);
      } else {
        const [wide, was] = [Math.abs(event.clientX - other), Math.abs(before - other)];
        if (wide > STILL_PX && was > STILL_PX) zoom(was / wide, secondsAt((event.clientX + other) / 2));
      }
      down.set(event.pointerId, event.clientX);
    };
    const onUp = (event: PointerEvent) => {
      if (!down.delete(event.pointerId) || moved || event.type === 'pointercancel') return;
      const { view, onPoint } = latest.current;
      const at = secondsAt(event.clientX);
      if (view.fromSeconds <= at && at <= view.toSeconds) onPoint(at);
    };
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      const pixels =
        event.deltaMode === WheelEvent.DOM_DELTA_PIXEL ? event.deltaY : WHEEL_LINE_PX * event.deltaY;
      latest.current.zoom(WHEEL_ZOOM ** pixels, secondsAt(event.clientX));
    };
    element.addEventListener('pointerdown', onDown);
    element.addEventListener('pointermove', onMove);
    element.addEventListener('pointerup', onUp);
    element.addEventListener('pointercancel', onUp);
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => {
      element.removeEventListener('pointerdown', onDown);
      element.removeEventListener('pointermove', onMove);
      element.removeEventListener('pointerup', onUp);
      element.removeEventListener('pointercancel', onUp);
      element.removeEventListener('wheel', onWheel);
    };
  }, [plots]);
}
