export {
  harnessOf,
  NO_HARNESS_WORK,
  samePoint,
  type Attachment,
  type HarnessWork,
  type ProbePoint,
} from './harnessWork.ts';
export { LANES, PLACES, THREE_WIRES, type Lane, type Place, type ThreeWire } from './lanes.ts';
export {
  ENGINE_STATES,
  keyOn,
  movesSensorItself,
  PLUG_STATES,
  running,
  sameDrive,
  sameState,
  sameStimulus,
  type Drive,
  type EngineState,
  type MachineState,
  type PlugState,
  type Stimulus,
  type StimulusKind,
} from './machineState.ts';
export { GAUGE_TAPS, isTarget, spotOf, type GaugeTap, type Spot, type Target } from './spots.ts';
export {
  attachmentWords,
  driveWords,
  ENGINE_WORDS,
  harnessWords,
  LANE_WORDS,
  pairWords,
  PLACE_WORDS,
  pointWords,
  PLUG_WORDS,
  sameTarget,
  stateWords,
  STIMULUS_WORDS,
  TAP_WORDS,
  targetWords,
} from './words.ts';
