export {
  MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA,
  MPX4115A,
  MPX4250A,
  MPX5010DP,
  MPXV7002DP,
} from './dataSheetProfiles.ts';
export { curveOf } from './curve.ts';
export { type Curve } from './ownCurves.ts';
export type { CurveFit, FitFault } from './curveFit.ts';
export { fitLine, type LineFit } from './fitLine.ts';
export { HOT_ELEMENT_EXPONENTS } from './fitHotElement.ts';
export { POLYNOMIAL_DEGREES } from './fitPolynomial.ts';
export { toleranceAt, ROOM_CELSIUS } from './toleranceAt.ts';
export { isMonotonePolynomial } from './polynomial.ts';
export { isCurve, isMonotone } from './isMonotone.ts';
export { boundOf, type Bound } from './rangeEnd.ts';
export { turningCurve, type TurningCurve, type ValueStretch } from './turningCurve.ts';
export { pchip, type Pchip } from './pchip.ts';
export {
  LOWEST_USABLE_REFERENCE_VOLTS,
  valueAtNominal,
  valueFromSignal,
  valuesFromSignals,
  signalFromValue,
  type Converted,
  type NoValue,
  type WireVolts,
} from './convertSignal.ts';
export {
  BIASES,
  type Bias,
  type HotElementTransfer,
  type LinearTransfer,
  type PolynomialTransfer,
  type CurvePoint,
  type DutyTransfer,
  type FrequencyTransfer,
  type RatiometricTransfer,
  type SensorProfile,
  type Tolerance,
  type TableTransfer,
  type TelegramTransfer,
  type TransferFunction,
} from './sensorProfile.ts';
export {
  isSent,
  sendsPulses,
  sendsTelegrams,
  sentIn,
  VALUE_STEPS,
  valueLimitVolts,
  type SentIn,
} from './sentValue.ts';
export {
  arePulses,
  fullPulses,
  isPulseCurve,
  PULSE_HERTZ,
  PULSE_PERCENT,
  valueOfPulses,
  type PulseTransfer,
} from './pulseCurve.ts';
export { SHAPES, transferFromPoints, type ShapeChoice } from './transferFromPoints.ts';
export { signalBand, validBandVolts, type SignalBand } from './signalBand.ts';
