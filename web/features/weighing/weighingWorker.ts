import type { JobWeighing } from '@lettura/core/judge/weighing';
import type { WeighingQuestion, WeighingReply, WeighingStop } from './weighingMessages.ts';

let worker: Worker | undefined;
let asked = 0;
let hear: ((reply: WeighingReply) => void) | undefined;

/** One for the whole application: what was worked out for a job is still there when its report is read. */
function theWorker(): Worker {
  if (!worker) {
    worker = new Worker(new URL('./weighing.worker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('message', ({ data }: MessageEvent<WeighingReply>) => hear?.(data));
  }
  return worker;
}

/**
 * Has a job weighed; what was asked before, by whomever, is not worked out to its end.
 *
 * @returns stops it
 */
export function weigh(
  job: Omit<WeighingQuestion, 'number'>,
  onWeighed: (weighing: JobWeighing) => void,
): () => void {
  const number = ++asked;
  hear = (reply) => {
    if (reply.number === number) onWeighed(reply.weighing);
  };
  theWorker().postMessage({ ...job, number } satisfies WeighingQuestion);
  return () => {
    if (asked !== number) return;
    hear = undefined;
    theWorker().postMessage({ number: ++asked } satisfies WeighingStop);
  };
}
