export { PinsEditor } from './PinsEditor.tsx';
export { PinsTable } from './PinsTable.tsx';
export { searchSensors } from './searchSensors.ts';
export { CurveChart } from './lazyCurveChart.ts';
