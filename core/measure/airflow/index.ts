export {
  expectedAirflowGramsPerSecond,
  idleRuleGramsPerSecond,
  volumeFlowLitresPerSecond,
  type AirflowInputs,
} from './expectedAirflow.ts';
