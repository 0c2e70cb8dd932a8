import type { Envelope } from '@lettura/core/recording/sweep';
import { useEffect, useRef, useState, type PointerEvent } from 'react';
import { extremesOf, MARGIN, paintEnvelope, useInk, usePainter, type Frame } from '../../ui/plot/index.ts';
import { t } from '../../ui/words.ts';
import type { AskSweep } from './useSweepWorker.ts';
import type { View } from './useView.ts';

const COLUMNS = 700;
const HEIGHT_PX = 46;
const OUT_OF_VIEW_OPACITY = 0.16;
/** Less than this of the whole is no stretch, but a place. */
const LEAST_SHARE = 0.01;

export interface SweepOverviewProps {
  ask: AskSweep;
  /** What is drawn of it. */
  channel: number;
  durationSeconds: number;
  view: View;
  put: (fromSeconds: number, toSeconds: number) => void;
}

/** The whole recording in one line, and of it what is in view: pulled along, or laid over another stretch. */
export function SweepOverview({ ask, channel, durationSeconds, view, put }: SweepOverviewProps) {
  const ink = useInk();
  const [envelope, setEnvelope] = useState<Envelope>();
  useEffect(() => {
    let current = true;
    const whole = { fromSeconds: 0, toSeconds: durationSeconds, columns: COLUMNS };
    void ask('envelope', { channels: [channel], ...whole }).then((answer) => {
      if (current && answer.ok) setEnvelope(answer.value[0]);
    });
    return () => {
      current = false;
    };
  }, [ask, channel, durationSeconds]);
  const canvas = usePainter((surface) => {
    if (!envelope) return;
    const { draw, width, height } = surface;
    const [low, high] = extremesOf(envelope);
    const span = high - low || 1;
    const [left, right, top, bottom] = [MARGIN.left, width - MARGIN.right, 5, height - 5];
    const frame: Frame = {
      left,
      right,
      top,
      bottom,
      x: (seconds) => left + (seconds / durationSeconds) * (right - left),
      y: (value) => bottom - ((value - low) / span) * (bottom - top),
    };
    paintEnvelope(surface, frame, envelope, { colour: ink.line, width: 1, across: 1 });
    const [from, to] = [frame.x(view.fromSeconds), frame.x(view.toSeconds)];
    draw.save();
    draw.fillStyle = ink.line;
    draw.globalAlpha = OUT_OF_VIEW_OPACITY;
    draw.fillRect(left, 0, from - left, height);
    draw.fillRect(to, 0, right - to, height);
    draw.globalAlpha = 1;
    draw.strokeStyle = ink.mark;
    draw.lineWidth = 2;
    draw.strokeRect(from, 1, Math.max(2, to - from), height - 2);
    draw.restore();
  });

  /** What the hand is at: pulling the view along, from where it took it, or laying out another stretch. */
  const pulls = useRef<{ sinceSeconds: number; view: View | undefined }>(undefined);
  const secondsAt = (event: PointerEvent<HTMLElement>): number => {
    const { left, width } = event.currentTarget.getBoundingClientRect();
    const share = (event.clientX - left - MARGIN.left) / (width - MARGIN.left - MARGIN.right);
    return durationSeconds * Math.min(1, Math.max(0, share));
  };
  const span = view.toSeconds - view.fromSeconds;
  const onDown = (event: PointerEvent<HTMLElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const at = secondsAt(event);
    const isInView = span < durationSeconds && view.fromSeconds <= at && at <= view.toSeconds;
    pulls.current = { sinceSeconds: at, view: isInView ? view : undefined };
  };
  const onMove = (event: PointerEvent<HTMLElement>) => {
    if (!pulls.current) return;
    const { sinceSeconds, view: taken } = pulls.current;
    const at = secondsAt(event);
    if (taken) put(taken.fromSeconds + at - sinceSeconds, taken.toSeconds + at - sinceSeconds);
    else if (Math.abs(at - sinceSeconds) > LEAST_SHARE * durationSeconds)
      put(Math.min(at, sinceSeconds), Math.max(at, sinceSeconds));
  };
  const onUp = (event: PointerEvent<HTMLElement>) => {
    const pulled = pulls.current;
    pulls.current = undefined;
    if (!pulled || pulled.view || span >= durationSeconds) return;
    const at = secondsAt(event);
    // Pressed beside what is in view: that place comes into its middle.
    if (Math.abs(at - pulled.sinceSeconds) <= LEAST_SHARE * durationSeconds)
      put(at - span / 2, at + span / 2);
  };
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={t('ui-sweeps.whole-recording')}
      onPointerDown={onDown}
      onPointerMove={onMove}
      onPointerUp={onUp}
      onPointerCancel={() => (pulls.current = undefined)}
      style={{ width: '100%', height: HEIGHT_PX, display: 'block', touchAction: 'none', cursor: 'ew-resize' }}
    />
  );
}
