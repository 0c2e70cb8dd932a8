export { flowAgainst, flowByRule, speedDensityFlow } from './airflowCheck.ts';
export { disagreements } from './disagreements.ts';
export { beforeAndAfter, type BeforeAfter } from './beforeAfter.ts';
export { noResponse, type NoResponse } from './pumpResponse.ts';
export { siblingsThatFit, type Sibling } from './siblingsThatFit.ts';
export { pumpStepSaid } from './pumpStepSaid.ts';
export { pumpSettings, pumpState, pumpSteps, type Pumped } from './pumpSweep.ts';
export {
  isPumpStepDoubtful,
  isPumpStepOff,
  pumpPoint,
  readPumpSteps,
  type PumpPoint,
  type ReadPumpPoint,
} from './pumpPoint.ts';
export { speaksOfTravel } from './sweepEvidence.ts';
export { sweepGuides, type GuideStep, type SweepGuide } from './sweepGuides.ts';
export { trackPairIn } from './trackPair.ts';
export { type PairWire, type TrackPair } from './pairDeviation.ts';
export type { CaseFile } from './caseFile.ts';
export { expectationContext } from './expectationContext.ts';
export type { Finding, Remark } from './finding.ts';
export { pairSaid, type ComparedPair } from './pairSaid.ts';
export { trackPairSaid } from './trackPairSaid.ts';
export { comparisonsIn, type Pair } from './comparisons.ts';
export { sourceSaid, type Source, type SourceName } from './comparedSources.ts';
export { countedValue, fitOfCounted, type SeenPulses } from './countedValue.ts';
export { ambientPressure, gaugeAgainstSensor } from './gaugePressure.ts';
export { readingLimitVolts } from './readingLimit.ts';
export { supplyIsGood } from './supplyIsGood.ts';
export { laneSegments } from './laneStates.ts';
export { type SegmentState, type SegmentView } from './segmentState.ts';
export { LINE_SEEN, lineSeen, type LineSeen } from './lineSeen.ts';
export { valueOfSignal, sensorValue, type SensorValue } from './sensorValue.ts';
export {
  dropIsSmall,
  dropOver,
  isGrounded,
  ohmsJudged,
  ohmsOf,
  ohmsToGround,
  type Stretch,
} from './stretches.ts';
export { supplyCheck, type SupplyOutcome, type SupplyStep } from './supplyCheck.ts';
export { threeViews, type ThreeViews, type ViewName } from './threeViews.ts';
export { railSaid, signalAtRail } from './signalAtRail.ts';
export { findingsIn, type FoundInReadings } from './findingsIn.ts';
export { fitOfReading, type SeenReading } from './fitOfReading.ts';
export { followedUp, repairEnd, type AfterRepair, type FollowedUp, type RepairEnd } from './followedUp.ts';
export { isRepeat } from './isRepeat.ts';
export { repairProof, type RepairOutcome, type RepairProof, type RepeatedReading } from './repairProof.ts';
