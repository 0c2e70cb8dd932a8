import type { FeedSample } from '@lettura/contract';
import type { ChannelUse, Recording, SweepMark } from '@lettura/core/recording/sweep';
import { useCallback, useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { captureStore, holdCapture, type CaptureInfo, type LiveSource } from '../live/index.ts';
import { Taking, type CaptureWords } from './taking.ts';
import { t } from '../../ui/words.ts';

const SAVE_MS = 1000;

export interface Captured {
  info: CaptureInfo;
  recording: Recording;
  /** Also on this browser's disk; else only in this page. */
  onDisk: boolean;
}

export interface Capture {
  running: boolean;
  startedMs: number | undefined;
  /** On the disk; or at least in this page, where `problem` says that the disk refuses. */
  samples: number;
  marks: readonly SweepMark[];
  /** What is wrong with the taking itself. */
  problem: string | undefined;
  take: (samples: readonly FeedSample[], missed: number) => void;
  start: () => void;
  mark: (words: string, expectedVolts: SweepMark['expectedVolts']) => void;
  /** Gives what was taken; undefined for less than two samples, which are thrown away. */
  stop: () => Promise<Captured | undefined>;
}

/** Takes what a source gives until it is stopped, and puts it on this browser's disk every second. */
export function useCapture(
  jobId: string,
  source: LiveSource,
  uses: readonly ChannelUse[],
  words: CaptureWords,
): Capture {
  const taking = useRef<Taking>(undefined);
  const letGo = useRef<() => void>(undefined);
  const onDisk = useRef(true);
  const latest = useRef(words);
  useEffect(() => {
    latest.current = words;
  });
  const [running, setRunning] = useState(false);
  const [marks, setMarks] = useState<readonly SweepMark[]>([]);
  const [shown, setShown] = useState<Pick<Capture, 'samples' | 'startedMs'>>(NOTHING);
  const [problem, setProblem] = useState<string>();

  const save = useCallback(async (ended = false) => {
    const now = taking.current;
    if (!now) return;
    const upTo = { samples: now.samples, startedMs: now.firstMs };
    now.say(latest.current);
    if (ended) now.end();
    const piece = now.nextPiece();
    try {
      if (piece) await captureStore.addPiece(now.info.id, piece.number, piece.rows);
      await captureStore.saveInfo(now.info);
    } catch {
      onDisk.current = false;
      setProblem(t('ui-record.browsers-disk-refuses-recording-page'));
    }
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
      // Who leaves the page while it runs has ended it: it is offered again, whole.
      void save(true).then(() => letGo.current?.());
    };
  }, [running, save]);

  return {
    running,
    ...shown,
    marks,
    problem,
    take(samples, missed) {
      if (taking.current?.take(samples, missed) === false)
        setProblem(t('ui-record.long-one-recording-gets-stop'));
    },
    start() {
      const id = v7();
      letGo.current = holdCapture(id);
      onDisk.current = true;
      taking.current = new Taking({
        ...latest.current,
        id,
        jobId,
        startedMs: Date.now(),
        source: source.name,
        channels: source.channels.map(({ name, unit }) => ({ name, unit })),
        uses: [...uses],
        marks: [],
        missed: 0,
        ended: false,
      });
      setMarks([]);
      setProblem(undefined);
      setShown(NOTHING);
      setRunning(true);
    },
    mark(said, expectedVolts) {
      taking.current?.mark(said, expectedVolts);
      setMarks(taking.current?.info.marks ?? []);
    },
    async stop() {
      const now = taking.current;
      if (!now) return undefined;
      await save(true);
      taking.current = undefined;
      letGo.current?.();
      setRunning(false);
      if (now.samples < 2) {
        await captureStore.remove(now.info.id).catch(() => undefined);
        return undefined;
      }
      return { info: now.info, recording: now.recording(), onDisk: onDisk.current };
    },
  };
}

const NOTHING = { samples: 0, startedMs: undefined };
