export {
  boundSaid,
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
export {
  COMMON_METER,
  COMMON_SERVICE_GAUGE,
  COMMON_VACUUM_GAUGE,
  SCAN_STEP_KPA,
} from './commonInstruments.ts';
export { counterLimit } from './counterLimit.ts';
export { compareValues, enSaid, OUTPUT_END, type Comparison } from './compareValues.ts';
export {
  gaugeTerms,
  instrumentSaid,
  liveDataTerms,
  LIVE_VOLTS_LIMIT,
  LIVE_VOLTS_STEP,
  liveVoltsTerms,
  meterLimitVolts,
  DIAL_SHARES,
  type Accuracy,
  type DialReadTo,
  type GaugeAccuracy,
  type Instrument,
  type LiveDataAccuracy,
  type MeterAccuracy,
} from './instrumentTerms.ts';
export { SENSOR_TOLERANCE, SEVERAL_VALUES, signalTerms, type SignalWires } from './signalTerms.ts';
export { inputLimitVolts, wireTerms, type WireInfluence, type WireInput } from './wireTerms.ts';
