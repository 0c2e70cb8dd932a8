import { ok, type Result } from '@lettura/core/measure/problem';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { QuestionName, Reply, SweepQuestions } from './sweepMessages.ts';

export type AskSweep = <Name extends QuestionName>(
  name: Name,
  ask: SweepQuestions[Name]['ask'],
) => Promise<Result<SweepQuestions[Name]['answer'], string>>;

/** The worker that holds one recording, as long as the page is open; asked and answered by number. */
export function useSweepWorker(): { ask: AskSweep; progress: number | undefined } {
  const worker = useRef<Worker>(undefined);
  const waiting = useRef(new Map<number, (result: Result<never, string>) => void>());
  const asked = useRef(0);
  const [progress, setProgress] = useState<number>();

  const started = useCallback((): Worker => {
    if (worker.current) return worker.current;
    const own = new Worker(new URL('./sweep.worker.ts', import.meta.url), { type: 'module' });
    own.addEventListener('message', ({ data }: MessageEvent<Reply>) => {
      if ('progress' in data) {
        setProgress(data.progress);
        return;
      }
      const answer = data.ok ? ok(data.answer as never) : { ok: false as const, problem: data.problem };
      waiting.current.get(data.number)?.(answer);
      waiting.current.delete(data.number);
    });
    worker.current = own;
    return own;
  }, []);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = undefined;
    },
    [],
  );

  const ask = useCallback<AskSweep>(
    (name, question) =>
      new Promise((resolve) => {
        const number = ++asked.current;
        waiting.current.set(number, (result) => {
          setProgress(undefined);
          resolve(result);
        });
        started().postMessage({ number, name, ask: question });
      }),
    [started],
  );
  return { ask, progress };
}
