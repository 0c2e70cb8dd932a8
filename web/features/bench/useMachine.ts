import { machineById, practiceMachine, type SimulatedMachine } from '@lettura/bench';
import type { Job } from '@lettura/contract';
import { useEffect, useMemo, useState } from 'react';

export type BenchJob = NonNullable<Job['bench']>;

/** The simulated machine of a practice job: the same at every visit. */
export const useMachine = (bench: BenchJob): SimulatedMachine => useMemo(() => machineOf(bench), [bench]);

export const machineOf = ({ machineId, caseLetter, seed }: BenchJob): SimulatedMachine =>
  practiceMachine(machineById(machineId), caseLetter, seed);

/** How often the simulated meter renews its digits. */
const TICK_MS = 400;

/** Counts up, so that last digits tremble as on a real display. */
export function useTick(): number {
  const [tick, setTick] = useState(1);
  useEffect(() => {
    const timer = setInterval(() => setTick((n) => n + 1), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return tick;
}
