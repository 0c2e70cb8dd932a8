import { missingProof } from '@lettura/core/judge/weighing';
import type { ProofAsked } from './proof.ts';

/** In a thread of its own: what is still to be shown before a cause may be named. */
export default ({ cause, caseFile, wires }: ProofAsked) => missingProof(cause, caseFile, wires);
