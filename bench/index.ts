export {
  CASE_LETTERS,
  FAULT_WORDS,
  faultOfCase,
  HIDDEN_FAULTS,
  type CaseLetter,
  type HiddenFault,
} from './hiddenFaults.ts';
export {
  barometerDisplay,
  gaugeDisplay,
  liveDataDisplay,
  meterDisplay,
  type MeterDisplay,
} from './instruments.ts';
export { BRILL_P4, BRILL_P4_SENSOR } from './machines/brillP4.ts';
export { simulatedMachine, type SimulatedMachine } from './simulatedMachine.ts';
