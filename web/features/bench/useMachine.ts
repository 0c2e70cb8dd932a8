import {
  machineById,
  measureTerminal,
  practiceMachine,
  terminalsOf,
  type SimulatedMachine,
} from '@lettura/bench';
import type { Job } from '@lettura/contract';
import type { PlugTest } from '@lettura/core/judge/wireFinder';
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

/** What the simulated machine shows at a terminal of its plug, whose order only it knows. */
export function simulatedPlug(bench: BenchJob): (terminal: number, test: PlugTest) => number {
  const machine = machineOf(bench);
  const terminals = terminalsOf(machine, bench.seed);
  return (terminal, test) => {
    const wire = terminals[terminal];
    // More terminals than the plug has: nothing is there to be touched.
    if (wire === undefined) return test === 'open-ohms' ? Infinity : 0;
    return measureTerminal(machine, wire, test);
  };
}
