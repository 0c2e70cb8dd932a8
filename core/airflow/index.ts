export {
  expectedAirflowGramsPerSecond,
  idleRuleGramsPerSecond,
  type AirflowInputs,
} from './expectedAirflow.ts';
