import type { JobVerdict } from '@lettura/contract';
import type { CaseFile } from '@lettura/core/judge/checks';
import type { Lane } from '@lettura/core/machine/places';
import type { Message } from '@lettura/core/measure/message';
import { Piscina } from 'piscina';

export interface ProofAsked {
  cause: JobVerdict['cause'];
  caseFile: CaseFile;
  wires: readonly Lane[];
}

/** Weighing takes seconds of a processor, and whoever else asks the server for something is not to wait for it. */
const MOST_THREADS = 2;
/** One stays once it was needed: to begin a thread takes longer than to weigh. */
const KEPT_THREADS = 1;
const IDLE_MS = 30_000;

let threads: Piscina<ProofAsked, Message | undefined> | undefined;

/** What is still to be shown before a cause may be named; undefined where nothing is. */
export function missingProofApart(asked: ProofAsked): Promise<Message | undefined> {
  threads ??= new Piscina({
    filename: new URL('./proofWorker.ts', import.meta.url).href,
    execArgv: ['--import', 'tsx'],
    minThreads: KEPT_THREADS,
    maxThreads: MOST_THREADS,
    idleTimeout: IDLE_MS,
  });
  return threads.run(asked);
}

/** Ends the threads; the next question begins new ones. */
export async function endProofs(): Promise<void> {
  const ending = threads;
  threads = undefined;
  await ending?.destroy();
}
