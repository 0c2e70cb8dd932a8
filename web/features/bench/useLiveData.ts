import { liveData, type LiveData, type SimulatedMachine } from '@lettura/bench';
import type { MachineState } from '@lettura/core/machine/places';
import { useEffect, useState } from 'react';

/** From the converter over the unit and the tool to the display: live data is always a little old. */
export const LATE_MS = 700;

/** What live data shows, as late as it is; `catchingUp` while it still shows what was before. */
export function useLiveData(
  machine: SimulatedMachine,
  state: MachineState,
): { data: LiveData | undefined; catchingUp: boolean } {
  const now = JSON.stringify(liveData(machine, state) ?? null);
  const [shown, setShown] = useState(now);
  useEffect(() => {
    if (now === shown) return undefined;
    const timer = setTimeout(() => setShown(now), LATE_MS);
    return () => clearTimeout(timer);
  }, [now, shown]);
  return { data: (JSON.parse(shown) as LiveData | null) ?? undefined, catchingUp: now !== shown };
}
