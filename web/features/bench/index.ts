export { BenchPanel } from './BenchPanel.tsx';
export { BenchTools } from './BenchTools.tsx';
export { machineOf, simulatedPlug, useBenchJob, type BenchJob } from './useMachine.ts';
export { benchSource } from './benchSource.ts';
export type { MeterSet } from './TwoPointMeter.tsx';
