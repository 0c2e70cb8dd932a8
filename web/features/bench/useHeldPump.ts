import { afterHolding } from '@lettura/bench';
import type { MachineState } from '@lettura/core/machine/places';
import { useEffect, useState } from 'react';

const RENEW_MS = 500;

/** The state with what the hand pump still holds by now: some leak, as in life. */
export function useHeldPump(state: MachineState, seed: number): MachineState {
  const { stimulus } = state;
  const setting = stimulus?.kind === 'pump' ? stimulus.kpaAboveAmbient : undefined;
  const [held, setHeld] = useState({ setting, seconds: 0 });
  useEffect(() => {
    if (setting === undefined) return undefined;
    const from = Date.now();
    const timer = setInterval(() => setHeld({ setting, seconds: (Date.now() - from) / 1000 }), RENEW_MS);
    return () => clearInterval(timer);
  }, [setting]);
  return afterHolding(state, held.setting === setting ? held.seconds : 0, seed);
}
