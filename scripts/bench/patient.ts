import { type AnyEvidence } from '@lettura/core/record/evidence';
import type { Lane } from '@lettura/core/machine/places';
import type { ObservationMade } from '@lettura/core/record/observation';
import type { CaseFile } from '@lettura/core/judge/checks';
import { type ChannelUse, type Recording } from '@lettura/core/recording/sweep';
import { type Candidate, type Decision, type Weigher } from '@lettura/core/judge/weighing';

/** What somebody took home from a candidate. */
export type Taken = AnyEvidence | ObservationMade | { recording: Recording; uses: ChannelUse[] };

/** A machine in a workshop: what can be read on it, and what is really wrong. */
export interface Patient {
  machine: string;
  family: string;
  /** The job before anything is read but the barometer and the codes. */
  opened: CaseFile;
  wires: readonly Lane[];
  weigher: Weigher;
  read(candidate: Candidate, tick: number): Taken | undefined;
  fault: string;
  classTrue: Decision['class'];
  /** What is wrong is not among the causes that the weighing knows. */
  outside: boolean;
  isRight(decision: Decision): boolean;
}

/** One machine, worked through to a verdict or to where no reading tells more. */
export interface WorkedCase {
  machine: string;
  family: string;
  fault: string;
  classTrue: string;
  outside: boolean;
  decided: boolean;
  /** The weighing says that none of the known causes explains the readings. */
  unexplained: boolean;
  /** The three leading decisions with their shares. */
  leaders: string;
  /** What was read, in order. */
  trail: string[];
  classSaid: string;
  classShare: number;
  classRight: boolean;
  placeRight: boolean;
  placeShare: number;
  readings: number;
  minutes: number;
  brier: number;
  milliseconds: number;
}
