import type { Lane } from '@lettura/core/machine/places';
import type { CaseFile } from '@lettura/core/judge/checks';
import { NO_WHAT_IF, type JobWeighing, type WhatIf } from '@lettura/core/judge/weighing';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { meanwhile } from './meanwhile.ts';
import { weigh } from './weighingWorker.ts';

export interface Weighed {
  /** The newest that is known; in part of an earlier record while this one is being weighed. Undefined before the first. */
  weighing: JobWeighing | undefined;
  /** It is of this record, and complete. */
  settled: boolean;
}

/** Weighs a job beside the page, again whenever it is given something else. */
export function useWeighing(
  caseFile: CaseFile,
  wires: readonly Lane[],
  whatIf: WhatIf = NO_WHAT_IF,
): Weighed {
  const job = useMemo(() => ({ caseFile, wires, whatIf }), [caseFile, wires, whatIf]);
  const [reply, setReply] = useState<{ of: typeof job; weighing: JobWeighing }>();
  useEffect(
    () =>
      weigh(job, (weighing) =>
        // In small pieces: whoever types on meanwhile is not held up by what the last reading means.
        startTransition(() =>
          setReply((before) => ({ of: job, weighing: meanwhile(before?.weighing, weighing) })),
        ),
      ),
    [job],
  );
  const settled = reply?.of === job && reply.weighing.stage === 'reasons';
  const weighing = reply?.weighing;
  return useMemo(() => ({ weighing, settled }), [weighing, settled]);
}
