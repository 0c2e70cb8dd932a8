export { BenchPanel } from './BenchPanel.tsx';
export { BenchTools } from './BenchTools.tsx';
export { rigSlice } from './rigSlice.ts';
export { machineOf, simulatedPlug } from './useMachine.ts';
