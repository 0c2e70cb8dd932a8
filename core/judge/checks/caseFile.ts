import type { Companion } from '../../measure/companion/index.ts';
import type { AnyEvidence, Evidence } from '../../record/evidence/index.ts';
import type { ObservationMade } from '../../record/observation/index.ts';
import type { Ambient } from '../../measure/quantity/index.ts';
import type { FamilyId } from '../../machine/family/index.ts';
import type { ChannelUse, SweepFinding } from '../../recording/sweep/index.ts';
import type { StartingWeights } from '../priors/index.ts';
import type { SensorProfile } from '../../measure/transfer/index.ts';
import type { GaugeAccuracy, Instrument, MeterAccuracy } from '../../measure/uncertainty/index.ts';

/** A recording on the job, by what was found in it. */
export interface SweepOnRecord {
  name: string;
  /** What each of its channels is. */
  uses: readonly ChannelUse[];
  findings: readonly SweepFinding[];
}

/** All that is known of a job: what the weighing reasons from, whatever model it uses. */
export interface CaseFile {
  family: FamilyId;
  profile: SensorProfile;
  companion?: Companion | undefined;
  ambient: Ambient | undefined;
  /** In the order taken; withdrawn and superseded readings left out. */
  readings: readonly Evidence[];
  /** Taken while something was attached or held, between two points, or in ohms; in the order taken. */
  isolation: readonly AnyEvidence[];
  /** What was looked at; the newest answer to each question. */
  observations: readonly ObservationMade[];
  /** As they were found stored, before any work. */
  codes: readonly string[];
  /** What shifts the weights before anything is read. */
  starting: StartingWeights;
  /** In the order recorded. */
  sweeps: readonly SweepOnRecord[];
  /** Of the engine, where it is known. */
  displacementLitres?: number | undefined;
  /** Taken for readings that do not say what took them. */
  meter: Instrument<MeterAccuracy>;
  gauge: Instrument<GaugeAccuracy>;
}
