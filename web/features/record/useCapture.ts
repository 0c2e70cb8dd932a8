import type { FeedSample } from '@lettura/contract';
import type { ChannelUse, Recording, SweepMark } from '@lettura/core/sweep';
import { useCallback, useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { captureStore, recordingOf, rowsOf, type CaptureInfo, type LiveSource } from '../live/index.ts';

const SAVE_MS = 1000;
/** Two hours at two hundred samples a second. */
const MOST_SAMPLES = 1_500_000;
const MOST_MARKS = 200;

export interface Capture {
  running: boolean;
  startedMs: number | undefined;
  samples: number;
  marks: readonly SweepMark[];
  /** Why it is not safe in this browser, where that is so. */
  problem: string | undefined;
  take: (samples: readonly FeedSample[], missed: number) => void;
  start: (name: string) => void;
  mark: (words: string, expectedVolts: SweepMark['expectedVolts']) => void;
  /** Gives what was taken; undefined for less than two samples, which are thrown away. */
  stop: (
    of: Pick<CaptureInfo, 'name' | 'note'>,
  ) => Promise<{ info: CaptureInfo; recording: Recording } | undefined>;
}

interface Taking {
  info: CaptureInfo;
  pieces: Float64Array[];
  pending: FeedSample[];
  samples: number;
  firstMs: number | undefined;
}

/** Takes what a source gives until it is stopped, and puts it on this browser's disk every second. */
export function useCapture(jobId: string, source: LiveSource, uses: readonly ChannelUse[]): Capture {
  const taking = useRef<Taking>(undefined);
  const [running, setRunning] = useState(false);
  const [marks, setMarks] = useState<readonly SweepMark[]>([]);
  const [shown, setShown] = useState<{ samples: number; startedMs: number | undefined }>({
    samples: 0,
    startedMs: undefined,
  });
  const [problem, setProblem] = useState<string>();

  const save = useCallback(async () => {
    const now = taking.current;
    if (!now) return;
    const samples = now.pending.splice(0);
    const upTo = { samples: now.samples, startedMs: now.firstMs };
    try {
      if (samples.length > 0) {
        const rows = rowsOf(samples, now.info.channels.length);
        await captureStore.addPiece(now.info.id, now.pieces.push(rows), rows);
      }
      await captureStore.saveInfo(now.info);
    } catch {
      setProblem(
        'This browser does not keep it: if the page dies, the recording is gone. It goes on as it is.',
      );
    }
    // What is counted is on the disk, or the page has said that it is not.
    setShown(upTo);
  }, []);
  useEffect(() => {
    if (!running) return undefined;
    const timer = setInterval(() => void save(), SAVE_MS);
    // A page that is put away may not come back.
    const hidden = () => document.visibilityState === 'hidden' && void save();
    document.addEventListener('visibilitychange', hidden);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', hidden);
      // Whoever leaves the page finds it offered again.
      void save();
    };
  }, [running, save]);

  return {
    running,
    startedMs: shown.startedMs,
    samples: shown.samples,
    marks,
    problem,
    take(samples, missed) {
      const now = taking.current;
      if (!now || now.samples >= MOST_SAMPLES) return;
      now.firstMs ??= samples[0]?.atMs;
      now.samples += samples.length;
      now.info.missed += missed;
      now.pending.push(...samples);
    },
    start(name) {
      taking.current = {
        info: {
          id: v7(),
          jobId,
          name,
          startedMs: Date.now(),
          source: source.name,
          channels: source.channels.map(({ name, unit }) => ({ name, unit })),
          uses: [...uses],
          marks: [],
          note: '',
          missed: 0,
          ended: false,
        },
        pieces: [],
        pending: [],
        samples: 0,
        firstMs: undefined,
      };
      setMarks([]);
      setProblem(undefined);
      setShown({ samples: 0, startedMs: undefined });
      setRunning(true);
    },
    mark(words, expectedVolts) {
      const now = taking.current;
      const newest = now?.pending.at(-1)?.atMs ?? now?.pieces.at(-1)?.at(-(now.info.channels.length + 1));
      if (!now || now.firstMs === undefined || newest === undefined || now.info.marks.length >= MOST_MARKS)
        return;
      const atSeconds = Math.max(0, newest - now.firstMs) / 1000;
      now.info.marks = [...now.info.marks, { atSeconds, words, ...(expectedVolts ? { expectedVolts } : {}) }];
      setMarks(now.info.marks);
    },
    async stop(of) {
      const now = taking.current;
      if (!now) return undefined;
      now.info = { ...now.info, ...of, ended: true };
      await save();
      taking.current = undefined;
      setRunning(false);
      if (now.samples < 2) {
        await captureStore.remove(now.info.id).catch(() => undefined);
        return undefined;
      }
      return { info: now.info, recording: recordingOf(now.pieces, now.info.channels) };
    },
  };
}
