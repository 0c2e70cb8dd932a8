import type { Bias } from '@lettura/core/measure/transfer';
import {
  findWires,
  type PlugReading,
  type PlugTest,
  type TerminalCount,
} from '@lettura/core/judge/wireFinder';

export interface FindWiresRequest {
  number: number;
  terminals: TerminalCount;
  readings: readonly PlugReading[];
  allowed: readonly PlugTest[];
  bias: Bias;
}

// Some thousand small networks for the first answer about a plug: too long for the thread that draws.
addEventListener('message', ({ data }: MessageEvent<FindWiresRequest>) => {
  const { number, terminals, readings, allowed, bias } = data;
  postMessage({ number, finding: findWires(terminals, readings, allowed, bias) });
});
