import {
  machineById,
  measureTerminal,
  practiceMachine,
  terminalsOf,
  type SimulatedMachine,
} from '@lettura/bench';
import { worksOn, type Job, type JobSheet } from '@lettura/contract';
import type { WorkId } from '@lettura/core/record/workDone';
import type { PlugTest } from '@lettura/core/judge/wireFinder';
import { useEffect, useMemo, useState } from 'react';

export type BenchJob = NonNullable<Job['bench']> & {
  /** To the machine, since the job was opened; nothing where it is asked what was wrong. */
  done?: readonly WorkId[];
};

/**
 * The simulated machine of a job with what was done to it so far, the same object until something else is done; undefined where
 * the machine is a real one, or the job is not here yet.
 */
export function useBenchJob(sheet: Pick<JobSheet, 'job' | 'readings'> | undefined): BenchJob | undefined {
  const bench = sheet?.job.bench;
  const works = bench ? worksOn(sheet.readings).map(({ work }) => work) : [];
  const key = works.join(' ');
  // eslint-disable-next-line react-hooks/exhaustive-deps -- by what the works are, and not by the list that names them
  return useMemo(() => bench && { ...bench, done: works }, [bench, key]);
}

/** The simulated machine of a practice job: the same at every visit. */
export const useMachine = (bench: BenchJob): SimulatedMachine => useMemo(() => machineOf(bench), [bench]);

export const machineOf = ({ machineId, caseLetter, seed, done }: BenchJob): SimulatedMachine =>
  practiceMachine(machineById(machineId), caseLetter, seed, done);

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
