export { isForetold, isPlain, latest, latestWire, type Evidence, type Foretold } from './evidence.ts';
export {
  numberOf,
  shownOf,
  spotSaid,
  type AnyEvidence,
  type BetweenReading,
  type GaugeReading,
  type OhmsReading,
  type ScanReading,
  type WireReading,
} from './readingKinds.ts';
export { lanesIn } from './lanesIn.ts';
