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
/** A thread that weighed has learned the circuit of its sensor: the next verdict of that kind comes soon or not at all. */
const IDLE_MS = 30_000;

let threads: Piscina<ProofAsked, Message | undefined> | undefined;

/** What is still to be shown before a cause may be named; undefined where nothing is. */
export function missingProofApart(asked: ProofAsked): Promise<Message | undefined> {
  threads ??= new Piscina({
    filename: new URL('./proofWorker.ts', import.meta.url).href,
    execArgv: ['--import', 'tsx'],
    minThreads: 0,
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
