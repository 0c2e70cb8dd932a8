import type { MachineState, Target } from '../evidence/index.ts';

/** A reading worth taking next, with all that a technician wants to know before moving the probe. */
export interface NextReading {
  target: Target;
  state: MachineState;
  question: string;
  why: string;
  how: string;
  cautions: string[];
  minutes: number;
  /** What each answer would mean, before it is taken. */
  answers: { outcome: string; then: string }[];
}
