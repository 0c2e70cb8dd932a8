export { hangsOnSensor } from './findings/hangsOnSensor.ts';
export { analyseSweep } from './analyse.ts';
export {
  CHANNEL_USES,
  LINE_FINDINGS,
  SWEEP_FINDINGS,
  type ChannelUse,
  type SweepContext,
  type SweepFinding,
  type SweepMark,
} from './findings/finding.ts';
export { against, type Against } from './against.ts';
export { answeredSteps, type AnsweredStep } from './answeredSteps.ts';
export { atRulers, type AtRulers } from './atRulers.ts';
export { differenceOf } from './differenceOf.ts';
export { dropouts, type Dropout } from './dropouts.ts';
export { envelopeInTime } from './envelopeInTime.ts';
export { sweepFigures, type SweepFigures } from './figures.ts';
export { calibrationIn, type Calibration } from './levels/calibrationIn.ts';
export type { LevelFigure } from './levels/levelTable.ts';
export { lagBetween, type Lag } from './lag.ts';
export { faultPlaces } from './faultPlaces.ts';
export { channelScale, isPressureUnit, pressureAndBasis } from './channelUnit.ts';
export { MinMaxPyramid, type Envelope } from './minMaxPyramid.ts';
export { offsetChange, type OffsetChange } from './offsetChange.ts';
export { noiseOf } from './noise.ts';
export { pairOverSweep, type PairOverSweep } from './pairOverSweep.ts';
export { plateaus, type Plateau } from './plateaus.ts';
export { indexAt, sampleRate, type Channel, type Recording } from './recording.ts';
export { stuckAgainst, type Stuck } from './standsStill.ts';
export { stepResponse, type StepResponse } from './stepResponse.ts';
export { sweepBand, type SweepBand } from './sweepBand.ts';
export { stretchOf } from './stretch.ts';
export { stepsIn } from './stepsIn.ts';
export { strokesOf, type Stroke } from './strokes.ts';
