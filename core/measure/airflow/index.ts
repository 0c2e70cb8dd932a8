export {
  expectedAirflowGramsPerSecond,
  idleExtremesGramsPerSecond,
  idleRuleGramsPerSecond,
  volumeFlowLitresPerSecond,
  type AirflowInputs,
} from './expectedAirflow.ts';
