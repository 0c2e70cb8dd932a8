import type { Lane } from '@lettura/core/machine/places';
import type { CaseFile } from '@lettura/core/judge/checks';
import type { JobWeighing, WhatIf } from '@lettura/core/judge/weighing';

/** A job to weigh; one asked later takes the place of one that is still being worked on. */
export interface WeighingQuestion {
  number: number;
  caseFile: CaseFile;
  wires: readonly Lane[];
  whatIf: WhatIf;
}

/** Nobody waits for an answer any more. */
export type WeighingStop = Pick<WeighingQuestion, 'number'>;

/** As far as the weighing has come. */
export interface WeighingReply {
  number: number;
  weighing: JobWeighing;
}
