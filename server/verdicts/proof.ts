import type { JobVerdict } from '@lettura/contract';
import type { CaseFile } from '@lettura/core/judge/checks';
import type { Lane } from '@lettura/core/machine/places';
import type { Message } from '@lettura/core/measure/message';
import { threads } from '../threads.ts';

export interface ProofAsked {
  cause: JobVerdict['cause'];
  caseFile: CaseFile;
  wires: readonly Lane[];
}

/**
 * What is still to be shown before a cause may be named; undefined where nothing is. One thread stays once it was needed: to
 * begin one takes longer than to weigh.
 */
export const { run: missingProofApart, end: endProofs } = threads<ProofAsked, Message | undefined>(
  new URL('./proofWorker.ts', import.meta.url),
  { most: 2, kept: 1, idleMs: 30_000 },
);
