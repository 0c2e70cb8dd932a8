import type { Bias } from '@lettura/core/measure/transfer';
import type { PlugReading, PlugTest, TerminalCount, WireFinding } from '@lettura/core/judge/wireFinder';
import { useEffect, useRef, useState } from 'react';
import type { FindWiresRequest } from './findWires.worker.ts';

/** The finding for what was measured so far, worked out beside the page; undefined until the first is there. */
export function useFindWires(
  terminals: TerminalCount,
  readings: readonly PlugReading[],
  allowed: readonly PlugTest[],
  bias: Bias,
): { finding: WireFinding | undefined; working: boolean } {
  const worker = useRef<Worker>(undefined);
  const asked = useRef(0);
  const [answer, setAnswer] = useState<{ number: number; finding: WireFinding }>();
  const [question, setQuestion] = useState(0);

  useEffect(() => {
    const own = new Worker(new URL('./findWires.worker.ts', import.meta.url), { type: 'module' });
    own.addEventListener('message', ({ data }: MessageEvent<{ number: number; finding: WireFinding }>) => {
      // An answer to what has been asked anew meanwhile is of no use.
      if (data.number === asked.current) setAnswer(data);
    });
    worker.current = own;
    return () => own.terminate();
  }, []);

  const said = readings.map(({ terminal, test, value }) => `${terminal} ${test} ${value}`);
  const key = [terminals, bias, ...said, ...allowed].join();
  useEffect(() => {
    const request: FindWiresRequest = { number: ++asked.current, terminals, readings, allowed, bias };
    setQuestion(request.number);
    worker.current?.postMessage(request);
    // The key says all that the lists do; they are new lists at every drawing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);

  const finding = answer?.finding.terminals.length === terminals ? answer.finding : undefined;
  return { finding, working: answer?.number !== question };
}
