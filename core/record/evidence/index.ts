export { isForetold, isPlain, latest, latestWire, type Evidence, type Foretold } from './evidence.ts';
export {
  airflowInputs,
  numberOf,
  shownOf,
  spotSaid,
  type AnyEvidence,
  type BetweenReading,
  type EngineFlowReading,
  type GaugeReading,
  type OhmsReading,
  type ScanReading,
  type WireReading,
} from './readingKinds.ts';
export { lanesIn } from './lanesIn.ts';
