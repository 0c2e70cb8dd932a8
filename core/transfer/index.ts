export { MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA, MPX4115A, MPX4250A } from './dataSheetProfiles.ts';
export {
  LOWEST_USABLE_REFERENCE_VOLTS,
  pressureFromSignal,
  pressuresFromSignals,
  signalFromPressure,
  type WireVolts,
} from './convertSignal.ts';
export {
  BIASES,
  straightLine,
  type Bias,
  type LinearTransfer,
  type LinePoint,
  type RatiometricTransfer,
  type SensorProfile,
  type TransferFunction,
} from './sensorProfile.ts';
export { signalBand, validBandVolts, type SignalBand } from './signalBand.ts';
