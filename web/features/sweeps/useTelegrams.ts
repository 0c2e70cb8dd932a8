import { useEffect, useState } from 'react';
import type { ReadTelegrams } from './sweepMessages.ts';
import type { AskSweep } from './useSweepWorker.ts';

/**
 * The telegrams of one channel of the recording in hand.
 *
 * @param channel below 0 where none carries any
 */
export function useTelegrams(ask: AskSweep, channel: number): ReadTelegrams | undefined {
  const [read, setRead] = useState<ReadTelegrams>();
  useEffect(() => {
    if (channel < 0) return;
    let current = true;
    void ask('telegrams', { channel }).then((answer) => {
      if (current && answer.ok) setRead(answer.value);
    });
    return () => {
      current = false;
    };
  }, [ask, channel]);
  return read;
}
