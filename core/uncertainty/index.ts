export {
  COVERAGE_FACTOR,
  fromLimits,
  fromResolution,
  gaugeTerms,
  measuredPressure,
  meterLimitVolts,
  signalTerms,
  type GaugeAccuracy,
  type MeasuredPressure,
  type MeterAccuracy,
  type UncertaintyTerm,
} from './budget.ts';
export { COMMON_METER, COMMON_VACUUM_GAUGE, SCAN_STEP_KPA } from './commonInstruments.ts';
export { comparePressures, type Comparison } from './comparePressures.ts';
