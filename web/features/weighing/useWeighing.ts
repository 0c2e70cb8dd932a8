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

/** Weighs a job in a worker of its own, again whenever anything changes; what is out of date is not worked out to its end. */
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

  // Compared by what they say: a poll that brings nothing new asks nothing new.
  const question = caseFile && inOrder({ caseFile, wires, whatIf });
  const [number, setNumber] = useState(0);
  useEffect(() => {
    if (question === undefined) return;
    asked.current += 1;
    setNumber(asked.current);
    const given = JSON.parse(question) as Omit<WeighingQuestion, 'number'>;
    worker.current?.postMessage({ ...given, number: asked.current } satisfies WeighingQuestion);
  }, [question]);

  const settled = reply?.number === number && reply.weighing.stage === 'reasons';
  const weighing = reply?.weighing;
  return useMemo(() => ({ weighing, settled }), [weighing, settled]);
}

/** As text that is the same for the same question: what comes back from the server has its fields in another order. */
const inOrder = (question: unknown): string =>
  JSON.stringify(question, (_key, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
