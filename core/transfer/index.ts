export { MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA, MPX4115A, MPX4250A } from './dataSheetProfiles.ts';
export { curveOf, type Curve } from './curve.ts';
export { fitLine, type LineFit } from './fitLine.ts';
export { isMonotone } from './isMonotone.ts';
export { pchip, type Pchip } from './pchip.ts';
export {
  LOWEST_USABLE_REFERENCE_VOLTS,
  pressureFromSignal,
  pressuresFromSignals,
  signalFromPressure,
  type WireVolts,
} from './convertSignal.ts';
export {
  BIASES,
  type Bias,
  type LinearTransfer,
  type LinePoint,
  type RatiometricTransfer,
  type SensorProfile,
  type TableTransfer,
  type TransferFunction,
} from './sensorProfile.ts';
export { transferFromPoints, type ShapeChoice } from './transferFromPoints.ts';
export { signalBand, validBandVolts, type SignalBand } from './signalBand.ts';
