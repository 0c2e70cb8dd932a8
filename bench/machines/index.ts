import type { BenchMachine } from '../benchMachine.ts';
import { BRILL_P4 } from './brillP4.ts';
import { OTHER_MACHINES } from './otherMachines.ts';

/** Every simulated machine; the pump engine, on which the first practice cases are, comes first. */
export const MACHINES: readonly BenchMachine[] = [BRILL_P4, ...OTHER_MACHINES];

/** A job that names none was opened when there was only one. */
export const machineById = (id: string | undefined): BenchMachine =>
  MACHINES.find((machine) => machine.id === id) ?? BRILL_P4;
