import { useState } from 'react';

export interface View {
  fromSeconds: number;
  toSeconds: number;
}

const ZOOM = 2.5;
const STEP_SHARE = 0.4;
/** Closer than this there is nothing left between two samples. */
const NEAREST_SECONDS = 1e-4;
/** Around a finding, so that one sees what was there before and after. */
const ROOM = 8;
const LEAST_ROOM_SECONDS = 0.05;
/** Around a mark, which has no length of its own. */
const MARK_ROOM_SECONDS = 2;

/** The stretch of a recording that is in view, and the ways to change it. */
export function useView(durationSeconds: number) {
  const whole: View = { fromSeconds: 0, toSeconds: durationSeconds };
  const [chosen, setChosen] = useState<View>();
  const view = chosen ?? whole;
  const put = (from: number, to: number) => {
    const span = Math.min(durationSeconds, Math.max(NEAREST_SECONDS, to - from));
    const start = Math.min(Math.max(0, from), durationSeconds - span);
    setChosen({ fromSeconds: start, toSeconds: start + span });
  };
  /** What lies under `atSeconds` stays where it is. */
  const zoom = (factor: number, atSeconds = (view.fromSeconds + view.toSeconds) / 2) =>
    put(
      atSeconds + factor * (view.fromSeconds - atSeconds),
      atSeconds + factor * (view.toSeconds - atSeconds),
    );
  const move = (direction: -1 | 1) => {
    const step = direction * STEP_SHARE * (view.toSeconds - view.fromSeconds);
    put(view.fromSeconds + step, view.toSeconds + step);
  };
  return {
    view,
    put,
    zoom,
    nearer: () => zoom(1 / ZOOM),
    farther: () => zoom(ZOOM),
    earlier: () => move(-1),
    later: () => move(1),
    all: () => setChosen(undefined),
    /** With little beside it: of what lies side by side, one is looked at. */
    fill: ({ fromSeconds, toSeconds }: View) => {
      const room = (toSeconds - fromSeconds) / 4;
      put(fromSeconds - room, toSeconds + room);
    },
    show: ({ fromSeconds, toSeconds }: View) => {
      const length = toSeconds - fromSeconds;
      const room = (length === 0 ? MARK_ROOM_SECONDS : Math.max(LEAST_ROOM_SECONDS, length * ROOM)) / 2;
      put(fromSeconds - room, toSeconds + room);
    },
  };
}
