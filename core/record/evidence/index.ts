export {
  isPlain,
  latest,
  latestWire,
  type AnyEvidence,
  type BetweenReading,
  type Evidence,
  type GaugeReading,
  type OhmsReading,
  type ScanReading,
  type WireReading,
} from './evidence.ts';
export { lanesIn } from './lanesIn.ts';
