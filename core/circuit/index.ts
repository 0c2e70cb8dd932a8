export { solveNodeVoltages, type Component } from './solveNodeVoltages.ts';
