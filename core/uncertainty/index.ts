export {
  budgetRows,
  COVERAGE_FACTOR,
  expandedWithBetter,
  fromLimits,
  fromResolution,
  measuredValue,
  toLimits,
  type MeasuredValue,
  type UncertaintyTerm,
} from './budget.ts';
export { COMMON_METER, COMMON_VACUUM_GAUGE, SCAN_STEP_KPA } from './commonInstruments.ts';
export { compareValues, enInWords, type Comparison } from './compareValues.ts';
export {
  gaugeTerms,
  liveDataTerms,
  meterLimitVolts,
  SENSOR_TOLERANCE,
  signalTerms,
  type Accuracy,
  type GaugeAccuracy,
  type Instrument,
  type LiveDataAccuracy,
  type MeterAccuracy,
} from './instrumentTerms.ts';
