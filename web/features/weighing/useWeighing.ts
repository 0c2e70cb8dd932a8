import type { Lane } from '@lettura/core/evidence';
import type { CaseFile } from '@lettura/core/reasoning';
import { NO_WHAT_IF, type JobWeighing, type WhatIf } from '@lettura/core/weighing';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { WeighingQuestion, WeighingReply } from './weighingMessages.ts';

export interface Weighed {
  /** The newest that is known; of an earlier record while this one is being weighed. Undefined before the first. */
  weighing: JobWeighing | undefined;
  /** It is of this record, and complete. */
  settled: boolean;
}

/**
 * Weighs a job in a worker of its own, again whenever it is given something else; what is out of date is not worked out to
 * its end.
 */
export function useWeighing(
  caseFile: CaseFile | undefined,
  wires: readonly Lane[],
  whatIf: WhatIf = NO_WHAT_IF,
): Weighed {
  const worker = useRef<Worker>(undefined);
  const asked = useRef(0);
  const [reply, setReply] = useState<WeighingReply>();

  useEffect(() => {
    const own = new Worker(new URL('./weighing.worker.ts', import.meta.url), { type: 'module' });
    own.addEventListener('message', ({ data }: MessageEvent<WeighingReply>) => {
      if (data.number === asked.current) setReply(data);
    });
    worker.current = own;
    return () => own.terminate();
  }, []);

  const [number, setNumber] = useState(0);
  useEffect(() => {
    if (caseFile === undefined) return;
    asked.current += 1;
    setNumber(asked.current);
    const question: WeighingQuestion = { caseFile, wires, whatIf, number: asked.current };
    worker.current?.postMessage(question);
  }, [caseFile, wires, whatIf]);

  const settled = reply?.number === number && reply.weighing.stage === 'reasons';
  const weighing = reply?.weighing;
  return useMemo(() => ({ weighing, settled }), [weighing, settled]);
}
