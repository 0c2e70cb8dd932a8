export type { BenchMachine, CaseFault } from './benchMachine.ts';
export { SimulatedHand } from './hand.ts';
export { SimulatedLogger } from './logger.ts';
export { engineFlow, USUAL_FILLING_PERCENT } from './engineFlow.ts';
export { barometerDisplay, gaugeDisplay, type GaugeDisplay } from './gauges.ts';
export { liveData, liveVolts, type LiveData } from './liveData.ts';
export { BRILL_P4, BRILL_P4_SENSOR } from './machines/brillP4.ts';
export { looksRight } from './look.ts';
export { machineById, MACHINES } from './machines/index.ts';
export { meterDisplay, ohmsDisplay, type MeterDisplay, type OhmsDisplay } from './meter.ts';
export { measureTerminal, terminalsOf } from './plugTerminals.ts';
export { afterHolding, pumpHoldsSeconds } from './pump.ts';
export { CASE_LETTERS, type CaseLetter } from './practiceCases.ts';
export { BODY_SENSORS } from './sensors/bodySensors.ts';
export { PRESSURE_SENSORS } from './sensors/pressureSensors.ts';
export type { BenchSensor } from './sensors/usualSensor.ts';
export {
  caseFault,
  practiceMachine,
  simulatedMachine,
  surroundingsOf,
  type SimulatedMachine,
} from './simulatedMachine.ts';
export { canBeCaptured, captureTelegrams, type SenderIll } from './telegramLine.ts';
export { canBeSwept, recordSweep, type BenchSweep } from './sweepRecording.ts';
export { whatWasWrong } from './whatWasWrong.ts';
