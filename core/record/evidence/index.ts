export { isForetold, isPlain, latest, latestWire, type Evidence, type Foretold } from './evidence.ts';
export {
  airflowInputs,
  hertzSaid,
  numberOf,
  shownOf,
  spotSaid,
  type AnyEvidence,
  type BetweenReading,
  type DutyReading,
  type EngineFlowReading,
  type FrequencyReading,
  type GaugeReading,
  type OhmsReading,
  type PulsesReading,
  type LiveVoltsReading,
  type ScanReading,
  type WireReading,
} from './readingKinds.ts';
export { lanesIn } from './lanesIn.ts';
